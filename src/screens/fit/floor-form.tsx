'use client';

import { X } from 'lucide-react';
import { FLOOR_PATTERNS, type FloorJob } from '@/core/records';
import type { ColourId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { ColourSelect } from '../common/colour-select';
import { NameAndZone } from './name-and-zone';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';

const PATTERN_WORDS: Readonly<Record<FloorJob['pattern'], string>> = {
  free: 'as it comes',
  'no crosses': 'random, no four corners meet',
  grid: 'slabs in a grid',
  'running bond': 'running bond',
  'basket weave': 'basket weave',
};

/** What is wanted of a floor: its size, of what, in which colours and pattern, its kerb, and what is kept free. */
export function FloorForm({ job, onChange }: { job: FloorJob; onChange: (job: FloorJob) => void }) {
  const set = (more: Partial<FloorJob>) => onChange({ ...job, ...more });
  const isPattern = job.pattern !== 'free' && job.pattern !== 'no crosses';
  return (
    <div className="flex flex-col gap-3">
      <div className="flex gap-2">
        <NumberBox
          label="Studs wide"
          value={job.width}
          least={1}
          most={96}
          onChange={(width) => set({ width })}
        />
        <NumberBox
          label="Studs deep"
          value={job.depth}
          least={1}
          most={96}
          onChange={(depth) => set({ depth })}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Of">
          <Select value={job.family} onChange={(e) => set({ family: e.target.value })}>
            {['tile', 'plate', 'brick'].map((f) => (
              <option key={f} value={f}>
                {f}s
              </option>
            ))}
          </Select>
        </Field>
        <Field label="Layers">
          <Select value={job.layers} onChange={(e) => set({ layers: Number(e.target.value) })}>
            <option value={1}>one</option>
            <option value={2}>two, seams crossed</option>
          </Select>
        </Field>
      </div>
      <Field label="Laid">
        <Select value={job.pattern} onChange={(e) => set({ pattern: e.target.value as FloorJob['pattern'] })}>
          {FLOOR_PATTERNS.map((p) => (
            <option key={p} value={p}>
              {PATTERN_WORDS[p]}
            </option>
          ))}
        </Select>
      </Field>
      {isPattern && (
        <div className="flex gap-2">
          <NumberBox
            label="Slab, wide"
            value={job.slab.w}
            least={1}
            most={16}
            onChange={(w) => set({ slab: { ...job.slab, w } })}
          />
          <NumberBox
            label="Slab, deep"
            value={job.slab.d}
            least={1}
            most={16}
            onChange={(d) => set({ slab: { ...job.slab, d } })}
          />
        </div>
      )}
      <Colours job={job} set={set} />
      <Kerb job={job} set={set} />
      <KeptFree job={job} set={set} />
      <NameAndZone name={job.name} zone={job.zone} onChange={set} />
    </div>
  );
}

interface PartProps {
  readonly job: FloorJob;
  readonly set: (more: Partial<FloorJob>) => void;
}

function Colours({ job, set }: PartProps) {
  const put = (colours: FloorJob['colours']) => set({ colours });
  const rows = rowsOf(job.colours, put);
  return (
    <section aria-label="Colours">
      <h3 className="mb-1 text-[14px]">Colours, by share</h3>
      <ul className="flex flex-col gap-1">
        {job.colours.map((c, i) => (
          <li key={i} className="flex items-end gap-2">
            <ColourSelect
              label={`Colour ${i + 1}`}
              value={c.colour}
              onChange={(colour) => rows.change(i, { ...c, colour })}
            />
            {job.colours.length > 1 && (
              <>
                <NumberBox
                  label="Parts"
                  value={c.share}
                  least={1}
                  most={1000}
                  onChange={(share) => rows.change(i, { ...c, share })}
                />
                <Button look="bare" aria-label={`Delete colour ${i + 1}`} onClick={() => rows.remove(i)}>
                  <X size={14} aria-hidden />
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
      <Button
        className="mt-1"
        onClick={() => put([...job.colours, { colour: job.colours.at(-1)!.colour, share: 1 }])}
        disabled={job.colours.length >= 20}
      >
        Mix in a colour
      </Button>
    </section>
  );
}

function Kerb({ job, set }: PartProps) {
  return (
    <div className="flex items-end gap-2">
      <ColourSelect
        label="Kerb"
        none="none"
        value={job.kerb?.colour ?? null}
        onChange={(colour) => set({ kerb: colour && { colour, width: job.kerb?.width ?? 1 } })}
      />
      {job.kerb && (
        <NumberBox
          label="Studs wide"
          value={job.kerb.width}
          least={1}
          most={20}
          onChange={(width) => set({ kerb: { colour: job.kerb!.colour as ColourId, width } })}
        />
      )}
    </div>
  );
}

function KeptFree({ job, set }: PartProps) {
  const put = (keepOut: FloorJob['keepOut']) => set({ keepOut });
  const rows = rowsOf(job.keepOut, put);
  const change = (i: number, more: Partial<FloorJob['keepOut'][number]>) =>
    rows.change(i, { ...job.keepOut[i]!, ...more });
  return (
    <section aria-label="Kept free">
      <h3 className="mb-1 text-[14px]">Kept free</h3>
      <ul className="flex flex-col gap-2">
        {job.keepOut.map((k, i) => (
          <li key={i} className="border-rule rounded-md border p-2">
            <div className="flex items-end gap-2">
              <Field label={`Place ${i + 1}`} className="flex-1">
                <Input
                  key={k.name}
                  defaultValue={k.name}
                  onBlur={(e) => change(i, { name: e.target.value.trim() })}
                />
              </Field>
              <Button look="bare" aria-label={`Delete place ${i + 1}`} onClick={() => rows.remove(i)}>
                <X size={14} aria-hidden />
              </Button>
            </div>
            <div className="mt-1 grid grid-cols-2 gap-2">
              <NumberBox
                label="From the left"
                value={k.x}
                least={0}
                most={127}
                onChange={(x) => change(i, { x })}
              />
              <NumberBox
                label="From the front"
                value={k.y}
                least={0}
                most={127}
                onChange={(y) => change(i, { y })}
              />
              <NumberBox label="Wide" value={k.w} least={1} most={128} onChange={(w) => change(i, { w })} />
              <NumberBox label="Deep" value={k.d} least={1} most={128} onChange={(d) => change(i, { d })} />
            </div>
          </li>
        ))}
      </ul>
      <Button
        className="mt-1"
        onClick={() => put([...job.keepOut, { name: 'post', x: 0, y: 0, w: 1, d: 1 }])}
        disabled={job.keepOut.length >= 200}
      >
        Keep a place free
      </Button>
    </section>
  );
}
