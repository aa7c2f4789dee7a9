'use client';

import { forms } from '@/core/shared/forms';
import { useState } from 'react';
import type { SheetField, StickerSheet } from '@/core/records';
import {
  FIELD_UNITS,
  leftOf,
  resized,
  spoil,
  takenOf,
  toMillimetres,
  wholeField,
  type FieldUnit,
} from '@/core/stickers';
import { elementName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { useBuild } from '../../common/build-store';
import { ColourSelect } from '../../common/colour-select';
import { NameField } from '../../common/name-field';
import { LengthBox } from '../../common/length-box';
import { NumberBox } from '../../common/number-box';
import { rowsOf } from '../../common/rows-of';
import { areaWords } from '../../words/stickers';
import { MarkField } from './mark-field';
import { SheetDrawing } from './sheet-drawing';

interface SheetFieldsProps {
  readonly sheet: StickerSheet;
  readonly onKeep: (fields: StickerSheet['fields']) => void;
}

/** The fields of a sheet: size, colour, what is printed on them, and what is left of each. */
export function SheetFields({ sheet, onKeep }: SheetFieldsProps) {
  const source = useBuild((s) => s.source);
  const [unit, setUnit] = useState<FieldUnit>(forms().units);
  const rows = rowsOf(sheet.fields, onKeep);
  const [marking, setMarking] = useState(false);
  const add = (size: { readonly w: number; readonly h: number }, lab: SheetField['lab'] = null) => {
    const field = { name: `field ${sheet.fields.length + 1}`, ...size, colour: null, lab, motif: '' };
    onKeep([...sheet.fields, wholeField({ ...field, id: source().newId() })]);
  };
  return (
    <>
      <Field label="Sizes typed in" className="mb-3 w-40">
        <Select value={unit} onChange={(e) => setUnit(e.target.value as FieldUnit)}>
          {Object.keys(FIELD_UNITS).map((u) => (
            <option key={u}>{u}</option>
          ))}
        </Select>
      </Field>
      <ul className="flex flex-col gap-4">
        {sheet.fields.map((f, i) => (
          <li key={f.id} className="border-rule flex flex-col gap-2 border-b pb-3">
            <SheetDrawing field={f} />
            <div className="flex flex-wrap items-end gap-2">
              <NameField
                label={`Field ${i + 1}`}
                value={f.name}
                onKeep={(name) => rows.change(i, { ...f, name })}
                className="w-40"
              />
              {(['w', 'h'] as const).map((key) => (
                <NumberBox
                  key={key}
                  label={`${key === 'w' ? 'Wide' : 'High'}, ${unit}`}
                  value={Math.round((f[key] / FIELD_UNITS[unit]) * 100) / 100}
                  least={0.1}
                  most={2000}
                  parts
                  onChange={(n) => {
                    const mm = Math.max(0.1, toMillimetres(n, unit));
                    rows.change(i, key === 'w' ? resized(f, mm, f.h) : resized(f, f.w, mm));
                  }}
                />
              ))}
              <div className="w-56">
                <ColourSelect
                  label="Colour"
                  value={f.colour}
                  none="not known"
                  onChange={(colour) => rows.change(i, { ...f, colour, lab: null })}
                />
              </div>
              <ReadColour field={f} onChange={(lab) => rows.change(i, { ...f, lab })} />
              <NameField
                label="Printed on it; empty = plain"
                value={f.motif}
                mayBeEmpty
                onKeep={(motif) => rows.change(i, { ...f, motif: motif.slice(0, 120) })}
                className="w-44"
              />
              <Button aria-label={`Delete ${f.name}`} onClick={() => rows.remove(i)}>
                Delete
              </Button>
            </div>
            <Left field={f} onChange={(next) => rows.change(i, next)} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => add({ w: 64, h: 16 })} disabled={sheet.fields.length >= 100}>
          Add a field
        </Button>
        {sheet.photo && (
          <Button onClick={() => setMarking(true)} disabled={sheet.fields.length >= 100}>
            Mark a field on the photo
          </Button>
        )}
      </div>
      {marking && sheet.photo && (
        <MarkField
          photo={sheet.photo}
          onClose={() => setMarking(false)}
          onField={(size, lab) => {
            add(size, lab);
            setMarking(false);
          }}
        />
      )}
    </>
  );
}

/** A field's colour as it was read by meter or from a photo, where that is known better than by a name. */
function ReadColour({ field, onChange }: { field: SheetField; onChange: (lab: SheetField['lab']) => void }) {
  const readings = useBuild((s) => s.workbench.records.reading);
  const now = [...readings.values()].find(
    (r) => field.lab && r.l === field.lab.l && r.a === field.lab.a && r.b === field.lab.b,
  );
  if (readings.size === 0 && !field.lab) return null;
  return (
    <Field label="Its colour as">
      <Select
        value={now?.id ?? (field.lab ? 'read' : '')}
        onChange={(e) => {
          const r = readings.get(e.target.value);
          onChange(r ? { l: r.l, a: r.a, b: r.b } : null);
        }}
      >
        <option value="">its name says</option>
        {field.lab && !now && <option value="read">it was read</option>}
        {[...readings.values()].map((r) => (
          <option key={r.id} value={r.id}>
            read {r.batch}, {elementName(r.element)}
          </option>
        ))}
      </Select>
    </Field>
  );
}

/** What is left of a field, and what is no good any more: a torn corner, a strip that was cut before it was written down. */
function Left({ field, onChange }: { field: SheetField; onChange: (field: SheetField) => void }) {
  const [away, setAway] = useState({ x: 0, y: 0, w: 10, h: 10 });
  const box = (key: keyof typeof away, label: string) => (
    <LengthBox
      label={label}
      value={away[key]}
      least={0}
      most={2000}
      onChange={(n) => setAway({ ...away, [key]: n })}
    />
  );
  return (
    <div>
      <p>
        <b>{areaWords(leftOf(field))}</b> left of {areaWords(field.w * field.h)}
        {takenOf(field) > 0 ? `, ${areaWords(takenOf(field))} used or gone` : ', nothing used'}
      </p>
      <details>
        <summary className="cursor-pointer">A part of it is gone</summary>
        <div className="flex flex-wrap items-end gap-2">
          {box('x', 'Gone from the left')}
          {box('y', 'Gone from below')}
          {box('w', 'Gone, wide')}
          {box('h', 'Gone, high')}
          <Button onClick={() => onChange(spoil(field, away))}>Take it off</Button>
          <Button onClick={() => onChange(wholeField(field))}>It is whole</Button>
        </div>
      </details>
    </div>
  );
}
