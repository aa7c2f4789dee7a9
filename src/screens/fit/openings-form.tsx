'use client';

import { coursesTaken } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { partOf, readPartName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';
import { WallPlace } from './wall-place';

type Opening = WallJob['openings'][number];

/** Doors, windows and other openings: by their part, or by what they measure; placed by hand, or spread evenly. */
export function OpeningsForm({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const put = (openings: readonly Opening[]) => onChange({ ...job, openings: [...openings] });
  const rows = rowsOf(job.openings, put);
  const add = () => {
    const [name, bottom] = ['window 1x2x2', Math.min(1, job.courses.length - 1)];
    const size = sizeOf(name, job, bottom)!;
    put([...job.openings, { wall: job.walls[0]!.id, name, ...size, bottom, from: null, count: 1 }]);
  };
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

/** What a door's or a window's part takes of a wall from a course on. Undefined for what is no such part. */
function sizeOf(name: string, job: WallJob, bottom: number): Pick<Opening, 'width' | 'courses'> | undefined {
  const read = readPartName(name).part;
  if (!read.read || read.family.group !== 'Windows and doors') return undefined;
  const { size, height } = partOf(read.id);
  return { width: size[1], courses: coursesTaken(job, bottom, height) };
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
  const name = (
    <Field label={`Opening ${no}: a part, or a name`} className="flex-1">
      <Input
        key={o.name}
        defaultValue={o.name}
        onBlur={(e) => {
          const next = e.target.value.trim();
          if (next !== o.name) set({ name: next, ...sizeOf(next, job, o.bottom) });
        }}
      />
    </Field>
  );
  return (
    <WallPlace job={job} box={o} set={set} what={`opening ${no}`} onDelete={onDelete} head={name}>
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
        <NumberBox label="From stud" value={o.from} least={0} most={400} onChange={(from) => set({ from })} />
      )}
    </WallPlace>
  );
}
