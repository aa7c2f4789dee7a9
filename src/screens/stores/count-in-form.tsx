'use client';

import { useState } from 'react';
import type { Colour } from '@/core/colour';
import { grade, priceLookup } from '@/core/ledger';
import { elementKey, elementName } from '@/core/parts';
import { readMoney } from '@/core/shared/money';
import type { TrayId } from '@/core/shared/ids';
import { countIn, proposeTrays, readTypedLot } from '@/core/stores';
import type { StoresSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { money } from '@/ui/numbers';
import { source } from '../common/bench-store';
import { typedLotWords } from '../words/typed-lot';
import type { StoresActs } from './stores-bar';

/** Counting parts in by one line; where they go is proposed. */
export function CountInForm({
  stores,
  acts,
  palette,
  tray,
}: {
  stores: StoresSnapshot;
  acts: StoresActs;
  palette: readonly Colour[];
  tray: TrayId | null;
}) {
  const [text, setText] = useState('');
  const [each, setEach] = useState('');
  const [into, setInto] = useState<TrayId | null>(null);
  const read = readTypedLot(text, palette);
  const lot =
    read.ok && read.value.colour
      ? {
          account: 'outside' as never,
          element: elementKey(read.value.part, read.value.colour),
          grade: grade(read.value.condition ?? 'used'),
          qty: read.value.qty,
        }
      : null;
  const [proposal] = lot ? proposeTrays([lot], stores.trays, stores.rows) : [];
  const goal = into ?? tray ?? proposal?.tray ?? stores.trays[0]?.id ?? null;
  const price = each.trim() === '' ? null : readMoney(each);
  const usual = lot ? priceLookup(stores.prices)(lot.element, lot.grade) : null;
  return (
    <form
      aria-label="Count parts in"
      className="flex flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!lot || !goal || price === undefined) return;
        acts.command(
          countIn(
            { element: lot.element, grade: lot.grade, qty: lot.qty, worth: price ?? usual },
            goal,
            source(),
          ),
        );
        setText('');
        setInto(null);
      }}
    >
      <h2>Count parts in</h2>
      <Field label="How many of what">
        <Input
          value={text}
          placeholder="12 brick 1x2 ash used"
          onChange={(e) => setText(e.target.value)}
          className="font-mono"
        />
      </Field>
      <p className="text-soft flex min-h-10 items-center gap-2" role="status">
        {lot ? (
          <>
            <Glyph element={lot.element} size={34} label="" /> {lot.qty} {elementName(lot.element)},{' '}
            {lot.grade}
          </>
        ) : text.trim() && !read.ok ? (
          typedLotWords(read.reason)
        ) : (
          'One line a lot. Click a lot to move, lend, sell or bin it.'
        )}
      </p>
      <Field label={proposal && !into && !tray ? `Tray (${proposal.why})` : 'Tray'}>
        <Select value={goal ?? ''} onChange={(e) => setInto((e.target.value || null) as TrayId | null)}>
          {stores.trays.length === 0 && <option value="">make a tray first</option>}
          {stores.trays.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name} {t.place}
            </option>
          ))}
        </Select>
      </Field>
      <Field label={usual === null ? '£ a piece, if known' : `£ a piece (else ${money(usual)})`}>
        <Input
          value={each}
          inputMode="decimal"
          aria-invalid={price === undefined}
          onChange={(e) => setEach(e.target.value)}
        />
      </Field>
      <Button look="main" type="submit" disabled={!lot || !goal || price === undefined}>
        Count in
      </Button>
    </form>
  );
}
