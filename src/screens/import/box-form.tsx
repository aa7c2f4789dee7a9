'use client';

import { useState } from 'react';
import type { ImportBoxes } from '@/server/import-schemas';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { piecesOfKinds } from '@/ui/numbers';
import { NumberBox } from '../common/number-box';

export type Box = ImportBoxes['boxes'][number];

/** A box as it is looked at first. What was paid is not known until it is said: nothing would be a gift. */
export const emptyBox = (setName: string, setCode: string): Box => ({
  setName,
  setCode,
  copies: 1,
  condition: 'new',
  role: 'base',
  price: null,
  lots: [],
});

interface BoxProps {
  readonly box: Box;
  readonly onChange: (box: Box) => void;
  readonly onRemove: () => void;
}

/** One box: how many copies, new or second-hand, what was paid, on the model or to be broken up. */
export function BoxForm({ box, onChange, onRemove }: BoxProps) {
  const [price, setPrice] = useState(box.price === null ? '' : moneyToEdit(box.price));
  const total = box.lots.reduce((s, l) => s + (l.extra ? 0 : l.qty), 0);
  const extras = box.lots.reduce((s, l) => s + (l.extra ? l.qty : 0), 0);
  const zones = new Set(box.lots.map((l) => l.zone).filter(Boolean)).size;
  const set = (change: Partial<Box>) => onChange({ ...box, ...change });
  const bad = price !== '' && readMoney(price) === undefined;
  return (
    <fieldset className="border-rule flex flex-wrap items-end gap-3 border-t py-3">
      <legend className="sr-only">{box.setName}</legend>
      <span className="bg-background flex rounded-md px-1" aria-hidden>
        {box.lots.slice(0, 5).map((l, i) => (
          <Glyph key={i} element={l.element} size={36} />
        ))}
      </span>
      <Field label="Set" className="min-w-48 flex-1">
        <Input
          required
          maxLength={200}
          value={box.setName}
          onChange={(e) => set({ setName: e.target.value })}
        />
      </Field>
      <NumberBox
        label="Copies"
        least={1}
        most={50}
        value={box.copies}
        onChange={(copies) => set({ copies })}
        live
      />
      <Field label="Condition">
        <Select
          value={box.condition}
          onChange={(e) => set({ condition: e.target.value as Box['condition'] })}
        >
          <option value="new">new</option>
          <option value="second-hand">second-hand</option>
        </Select>
      </Field>
      <Field label="Paid for each, 0 for a gift">
        <Input
          value={price}
          placeholder="not known"
          aria-invalid={bad}
          onChange={(e) => {
            setPrice(e.target.value);
            set({ price: readMoney(e.target.value) ?? null });
          }}
          className="w-24"
        />
      </Field>
      <Field label="It is">
        <Select value={box.role} onChange={(e) => set({ role: e.target.value as Box['role'] })}>
          <option value="base">built as the model</option>
          <option value="donor">broken up for parts</option>
        </Select>
      </Field>
      <Button onClick={onRemove}>Not this one</Button>
      <p className="text-soft w-full">
        {piecesOfKinds(total, box.lots.length)}
        {extras > 0 && `, ${extras} extras to the spares`}
        {zones > 0 && `, ${zones} zones`}
        {box.price === 0 && ', a gift'}
        {box.price === null && !bad && ', what was paid is not known'}
        {bad && ` ▲ “${price}” is not a price: write 46.50.`}
      </p>
    </fieldset>
  );
}
