'use client';

import { X } from 'lucide-react';
import type { WallJob } from '@/core/records';
import { partOf, readPartName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { NumberBox } from './number-box';
import { rowsOf } from './rows-of';

type Opening = WallJob['openings'][number];

/** Doors, windows and other openings: by their part, or by what they measure; placed by hand, or spread evenly. */
export function OpeningsForm({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const put = (openings: readonly Opening[]) => onChange({ ...job, openings: [...openings] });
  const rows = rowsOf(job.openings, put);
  const add = () =>
    put([
      ...job.openings,
      {
        wall: job.walls[0]!.id,
        name: 'window 1x2x2',
        ...sizeOf('window 1x2x2', job)!,
        bottom: Math.min(1, job.courses.length - 1),
        from: null,
        count: 1,
      },
    ]);
  return (
    <section aria-label="Openings">
      <h3 className="mb-1 text-[14px]">Openings</h3>
      <ul className="flex flex-col gap-2">
        {job.openings.map((o, i) => (
          <OpeningRow
            key={i}
            no={i + 1}
            job={job}
            opening={o}
            onChange={(next) => rows.change(i, next)}
            onDelete={() => rows.remove(i)}
          />
        ))}
      </ul>
      <Button onClick={add} className="mt-1">
        Add an opening
      </Button>
    </section>
  );
}

/** What a door's or a window's part takes of a wall of bricks: studs, and courses by its height. Undefined for no part. */
function sizeOf(name: string, job: WallJob): Pick<Opening, 'width' | 'courses'> | undefined {
  const read = readPartName(name).part;
  if (!read.read || read.family.group !== 'Windows and doors') return undefined;
  const { size, height } = partOf(read.id);
  return { width: size[1], courses: Math.max(1, Math.min(job.courses.length, Math.round(height / 3))) };
}

interface RowProps {
  readonly no: number;
  readonly job: WallJob;
  readonly opening: Opening;
  readonly onChange: (opening: Opening) => void;
  readonly onDelete: () => void;
}

function OpeningRow({ no, job, opening: o, onChange, onDelete }: RowProps) {
  const set = (more: Partial<Opening>) => onChange({ ...o, ...more });
  return (
    <li className="border-rule rounded-md border p-2">
      <div className="flex items-end gap-2">
        <Field label={`Opening ${no}: a part, or a name`} className="flex-1">
          <Input
            key={o.name}
            defaultValue={o.name}
            onBlur={(e) => {
              const name = e.target.value.trim();
              if (name !== o.name) set({ name, ...sizeOf(name, job) });
            }}
          />
        </Field>
        <Button look="bare" aria-label={`Delete opening ${no}`} onClick={onDelete}>
          <X size={14} aria-hidden />
        </Button>
      </div>
      <div className="mt-1 flex flex-wrap gap-2">
        {job.walls.length > 1 && (
          <Field label="In">
            <Select value={o.wall} onChange={(e) => set({ wall: e.target.value })}>
              {job.walls.map((w) => (
                <option key={w.id} value={w.id}>
                  {w.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        <NumberBox
          label="Studs wide"
          value={o.width}
          least={1}
          most={400}
          onChange={(width) => set({ width })}
        />
        <NumberBox
          label="Courses"
          value={o.courses}
          least={1}
          most={80}
          onChange={(courses) => set({ courses })}
        />
        <NumberBox
          label="From course"
          value={o.bottom + 1}
          least={1}
          most={80}
          onChange={(n) => set({ bottom: n - 1 })}
        />
        <Field label="Where">
          <Select
            value={o.from === null ? 'spread' : 'placed'}
            onChange={(e) => set({ from: e.target.value === 'spread' ? null : 0, count: 1 })}
          >
            <option value="spread">spread evenly</option>
            <option value="placed">at a stud</option>
          </Select>
        </Field>
        {o.from === null ? (
          <NumberBox
            label="How many"
            value={o.count}
            least={1}
            most={60}
            onChange={(count) => set({ count })}
          />
        ) : (
          <NumberBox
            label="From stud"
            value={o.from}
            least={0}
            most={400}
            onChange={(from) => set({ from })}
          />
        )}
      </div>
    </li>
  );
}
