'use client';

import { worthOf } from '@/core/ledger';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { paidWords, pieces } from '@/ui/numbers';
import { BoxForm, type Box } from './box-form';
import type { ImportWorld } from './import-state';

interface BoxesFormProps {
  readonly boxes: readonly Box[];
  readonly onChange: (boxes: readonly Box[]) => void;
  readonly name: string;
  readonly onName: (name: string) => void;
  readonly build: ImportWorld['build'];
  readonly busy: boolean;
  readonly onTake: () => void;
}

/** The boxes that go into one build together: looked at once more, named, and agreed to. */
export function BoxesForm({ boxes, onChange, name, onName, build, busy, onTake }: BoxesFormProps) {
  const total = boxes.reduce(
    (s, b) => s + b.copies * b.lots.reduce((t, l) => t + (l.extra ? 0 : l.qty), 0),
    0,
  );
  const paid = worthOf(
    boxes.map((b) => ({ qty: b.copies, price: b.price })),
    (b) => b.price,
  );
  const bad = boxes.some((b) => !b.setName.trim());
  return (
    <form
      className="border-ink bg-sheet mb-6 rounded-lg border p-4"
      onSubmit={(e) => {
        e.preventDefault();
        onTake();
      }}
    >
      <h2 className="mb-2 text-[16px]">
        {boxes.length === 1 ? 'One box' : `${boxes.length} boxes`}, {pieces(total)}, {paidWords(paid)}
      </h2>
      {boxes.map((b, i) => (
        <BoxForm
          key={i}
          box={b}
          onChange={(next) => onChange(boxes.map((x, k) => (k === i ? next : x)))}
          onRemove={() => onChange(boxes.filter((_, k) => k !== i))}
        />
      ))}
      <div className="mt-3 flex flex-wrap items-end gap-3">
        {build ? (
          <p className="min-w-0 flex-1">
            Into <bdi className="font-semibold">{build.name}</bdi>
          </p>
        ) : (
          <Field label="Name of the build" className="min-w-64 flex-1">
            <Input required maxLength={200} value={name} onChange={(e) => onName(e.target.value)} />
          </Field>
        )}
        <Button look="main" type="submit" disabled={busy || bad || (!build && !name.trim())}>
          Agree and import {boxes.length === 1 ? 'it' : 'them'}
        </Button>
      </div>
      <p className="text-faint mt-2">Another box for the same build? Choose it below first.</p>
    </form>
  );
}
