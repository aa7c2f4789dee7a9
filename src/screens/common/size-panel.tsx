'use client';

import { readTyped } from '@/core/shared/decimal';
import { editNumber, formatLength, formatLengths, forms } from '@/core/shared/forms';
import { useState } from 'react';
import type { Size } from '@/core/ledger';
import { growth, inMillimetres, measureSize } from '@/core/inspection';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { useBuild } from './build-store';
import { SizeDrawing } from './size-drawing';

/** Length, width and height in studs and bricks, as found and as built, shown in millimetres and centimetres. */
export function SizePanel() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const keep = (which: 'found' | 'built', size: Size | null) => perform(measureSize(workbench, which, size));
  const grown = card?.found && card.built ? growth(card.found, card.built) : null;
  return (
    <div className="grid h-full content-start gap-6 overflow-auto p-4 md:grid-cols-2 xl:grid-cols-[20rem_20rem_minmax(0,1fr)]">
      <SizeForm title="As found" size={card?.found ?? null} onKeep={(s) => keep('found', s)} />
      <SizeForm title="As built" size={card?.built ?? null} onKeep={(s) => keep('built', s)} />
      <SizeDrawing found={card?.found ?? null} built={card?.built ?? null} />
      {grown && (
        <p className="md:col-span-2">
          It grew by {signedMm(grown.length * 8)} in length, {signedMm(grown.width * 8)} in width and{' '}
          {signedMm(grown.height * 9.6)} in height.
        </p>
      )}
    </div>
  );
}

const signedMm = (mm: number): string => `${mm < 0 ? '−' : ''}${formatLength(Math.abs(mm))}`;

function SizeForm({
  title,
  size,
  onKeep,
}: {
  title: string;
  size: Size | null;
  onKeep: (size: Size | null) => void;
}) {
  const [draft, setDraft] = useState(() => ({
    length: size ? editNumber(size.length) : '',
    width: size ? editNumber(size.width) : '',
    height: size ? printBricks(size.height) : '',
  }));
  const next = {
    length: readTyped(draft.length),
    width: readTyped(draft.width),
    height: bricksTyped(draft.height) ?? readTyped(draft.height),
  };
  const good = Object.values(next).every((n) => n > 0 && n <= 100_000);
  const { units } = forms();
  const mm = good ? inMillimetres(next) : size && inMillimetres(size);
  return (
    <form
      className="border-rule bg-sheet rounded-lg border p-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (good) onKeep(next);
      }}
    >
      <h2 className="mb-2 text-[16px]">{title}</h2>
      <div className="grid grid-cols-3 items-end gap-3">
        {(
          [
            ['length', 'Length, studs'],
            ['width', 'Width, studs'],
            ['height', 'Height, bricks + plates'],
          ] as const
        ).map(([key, label]) => (
          <Field key={key} label={label}>
            <Input
              inputMode="decimal"
              value={draft[key]}
              onChange={(e) => setDraft({ ...draft, [key]: e.target.value })}
              aria-invalid={draft[key] !== '' && !(next[key] > 0)}
            />
          </Field>
        ))}
      </div>
      <p className="mt-3 min-h-10">
        {mm ? (
          <>
            <b className="figure-md block">{formatLengths([mm.length, mm.width, mm.height])}</b>
            <span className="text-soft">
              {units === 'mm'
                ? `${formatLengths([mm.length, mm.width, mm.height], { ...forms(), units: 'cm' })}, `
                : ''}
              length × width × height
            </span>
          </>
        ) : (
          <span className="text-soft">
            Count studs along the base, and bricks up the side; then plates: 11+2 is 11 bricks and 2 plates.
          </span>
        )}
      </p>
      <div className="mt-2 flex gap-2">
        <Button look="main" type="submit" disabled={!good}>
          Keep it
        </Button>
        {size && <Button onClick={() => onKeep(null)}>Delete</Button>}
      </div>
    </form>
  );
}

/** A height in bricks as it is typed: whole plates as such. */
function printBricks(height: number): string {
  const plates = Math.round(height * 3);
  if (Math.abs(plates / 3 - height) > 0.005) return editNumber(Math.round(height * 100) / 100);
  return plates % 3 === 0 ? `${plates / 3}` : `${Math.floor(plates / 3)}+${plates % 3}`;
}

/** Bricks and plates as they are typed, in bricks: "11+2" = 11 2/3. Undefined for anything else. */
function bricksTyped(text: string): number | undefined {
  const [, bricks, plates] = /^(\d{1,5})\s*\+\s*(\d{1,2})$/.exec(text.trim()) ?? [];
  return bricks === undefined ? undefined : Number(bricks) + Number(plates) / 3;
}
