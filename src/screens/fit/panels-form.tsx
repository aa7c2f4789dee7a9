'use client';

import { COURSE_FAMILIES } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { ColourSelect } from '../common/colour-select';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';
import { WallPlace } from './wall-place';

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
  const matter = (
    <>
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
    </>
  );
  return (
    <WallPlace job={job} box={p} set={set} what={`area ${no}`} onDelete={onDelete} head={matter}>
      <NumberBox label="From stud" value={p.from} least={0} most={400} onChange={(from) => set({ from })} />
    </WallPlace>
  );
}
