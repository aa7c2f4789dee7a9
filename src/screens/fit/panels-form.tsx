'use client';

import { X } from 'lucide-react';
import { COURSE_FAMILIES } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { ColourSelect } from './colour-select';
import { NumberBox } from './number-box';
import { rowsOf } from './rows-of';

type Panel = WallJob['panels'][number];

/** Areas of a wall in another colour, with another face of brick, or hidden. */
export function PanelsForm({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const put = (panels: readonly Panel[]) => onChange({ ...job, panels: [...panels] });
  const rows = rowsOf(job.panels, put);
  const [first] = job.courses;
  const add = () =>
    put([
      ...job.panels,
      {
        wall: job.walls[0]!.id,
        from: 0,
        width: Math.min(4, job.walls[0]!.length),
        bottom: 0,
        courses: 1,
        colour: first!.colour,
        family: 'masonry brick',
      },
    ]);
  return (
    <section aria-label="Areas of another colour or face">
      <h3 className="mb-1 text-[14px]">Areas of another colour or face</h3>
      <ul className="flex flex-col gap-2">
        {job.panels.map((p, i) => (
          <PanelRow
            key={i}
            no={i + 1}
            job={job}
            panel={p}
            onChange={(next) => rows.change(i, next)}
            onDelete={() => rows.remove(i)}
          />
        ))}
      </ul>
      <Button onClick={add} className="mt-1">
        Add an area
      </Button>
    </section>
  );
}

interface RowProps {
  readonly no: number;
  readonly job: WallJob;
  readonly panel: Panel;
  readonly onChange: (panel: Panel) => void;
  readonly onDelete: () => void;
}

function PanelRow({ no, job, panel: p, onChange, onDelete }: RowProps) {
  const set = (more: Partial<Panel>) => onChange({ ...p, ...more });
  return (
    <li className="border-rule rounded-md border p-2">
      <div className="flex items-end gap-2">
        <ColourSelect
          label={`Area ${no}: colour`}
          none="any, hidden"
          value={p.colour}
          onChange={(colour) => set({ colour })}
        />
        <Field label="Of">
          <Select value={p.family} onChange={(e) => set({ family: e.target.value })}>
            {COURSE_FAMILIES.map((f) => (
              <option key={f}>{f}</option>
            ))}
          </Select>
        </Field>
        <Button look="bare" aria-label={`Delete area ${no}`} onClick={onDelete}>
          <X size={14} aria-hidden />
        </Button>
      </div>
      <div className="mt-1 flex flex-wrap gap-2">
        {job.walls.length > 1 && (
          <Field label="In">
            <Select value={p.wall} onChange={(e) => set({ wall: e.target.value })}>
              {job.walls.map((w) => (
                <option key={w.id} value={w.id}>
                  {w.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        <NumberBox label="From stud" value={p.from} least={0} most={400} onChange={(from) => set({ from })} />
        <NumberBox
          label="Studs wide"
          value={p.width}
          least={1}
          most={400}
          onChange={(width) => set({ width })}
        />
        <NumberBox
          label="From course"
          value={p.bottom + 1}
          least={1}
          most={80}
          onChange={(n) => set({ bottom: n - 1 })}
        />
        <NumberBox
          label="Courses"
          value={p.courses}
          least={1}
          most={80}
          onChange={(courses) => set({ courses })}
        />
      </div>
    </li>
  );
}
