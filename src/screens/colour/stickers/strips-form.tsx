'use client';

import { forms } from '@/core/shared/forms';
import type { StripJob } from '@/core/records';
import { FIELD_UNITS, toMillimetres, type FieldUnit, type Stripe } from '@/core/stickers';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { useState } from 'react';
import { useBuild } from '../../common/build-store';
import { ColourSelect } from '../../common/colour-select';
import { NameField } from '../../common/name-field';
import { LengthBox } from '../../common/length-box';
import { NumberBox } from '../../common/number-box';
import { rowsOf } from '../../common/rows-of';
import { ZoneSelect } from '../../common/zone-select';
import { ElementsField } from './elements-field';

interface StripsFormProps {
  readonly job: StripJob;
  readonly onKeep: (more: Partial<StripJob>) => void;
}

/** Which stripes are wanted: colour, width and length, how many, on which parts. */
export function StripsForm({ job, onKeep }: StripsFormProps) {
  const source = useBuild((s) => s.source);
  const workbench = useBuild((s) => s.workbench);
  const [unit, setUnit] = useState<FieldUnit>(forms().units);
  const put = (strips: StripJob['strips']) => onKeep({ strips });
  const rows = rowsOf(job.strips, put);
  const add = () => {
    const last = job.strips.at(-1);
    const id = source().newId();
    const fresh: Stripe = {
      id,
      name: `stripe ${job.strips.length + 1}`,
      colour: last?.colour ?? workbench.palette[0]!.id,
      w: last?.w ?? 3.2,
      l: last?.l ?? 64,
      count: 1,
      elements: [],
      across: false,
    };
    put([...job.strips, fresh]);
  };
  return (
    <>
      <NameField label="Name" value={job.name} onKeep={(name) => onKeep({ name })} />
      <ZoneSelect label="Zone" zone={job.zone} onChange={(zone) => onKeep({ zone })} />
      <div className="flex flex-wrap gap-2">
        <LengthBox label="Blade" value={job.kerf} least={0} most={20} onChange={(kerf) => onKeep({ kerf })} />
        <LengthBox
          label="Border"
          value={job.margin}
          least={0}
          most={100}
          onChange={(margin) => onKeep({ margin })}
        />
        <NumberBox
          label="Colour within ΔE"
          value={job.tolerance}
          least={0}
          most={100}
          parts
          onChange={(tolerance) => onKeep({ tolerance })}
        />
        <Field label="Lengths typed in">
          <Select value={unit} onChange={(e) => setUnit(e.target.value as FieldUnit)}>
            {Object.keys(FIELD_UNITS).map((u) => (
              <option key={u}>{u}</option>
            ))}
          </Select>
        </Field>
      </div>
      <ul className="flex flex-col gap-3">
        {job.strips.map((s, i) => (
          <li key={s.id} className="border-rule flex flex-col gap-2 rounded-md border p-2">
            <NameField
              label={`Stripe ${i + 1}`}
              value={s.name}
              onKeep={(name) => rows.change(i, { ...s, name })}
            />
            <ColourSelect
              label="Colour"
              value={s.colour}
              onChange={(colour) => rows.change(i, { ...s, colour })}
            />
            <div className="flex flex-wrap gap-2">
              {(['w', 'l'] as const).map((key) => (
                <NumberBox
                  key={key}
                  label={`${key === 'w' ? 'Width' : 'Length'}, ${unit}`}
                  value={Math.round((s[key] / FIELD_UNITS[unit]) * 100) / 100}
                  least={0.1}
                  most={2000}
                  parts
                  onChange={(n) => rows.change(i, { ...s, [key]: Math.max(0.1, toMillimetres(n, unit)) })}
                />
              ))}
              <NumberBox
                label="How many"
                value={s.count}
                least={0}
                most={200}
                onChange={(n) => rows.change(i, { ...s, count: n })}
              />
            </div>
            <ElementsField
              zone={job.zone}
              elements={s.elements}
              onChange={(elements) => rows.change(i, { ...s, elements })}
            />
            <Check
              words="Must line up across its parts"
              on={s.across}
              onChange={(across) => rows.change(i, { ...s, across })}
            />
            <Button aria-label={`Delete ${s.name}`} onClick={() => rows.remove(i)}>
              Delete
            </Button>
          </li>
        ))}
      </ul>
      <div>
        <Button onClick={add} disabled={job.strips.length >= 100}>
          Add a stripe
        </Button>
      </div>
    </>
  );
}
