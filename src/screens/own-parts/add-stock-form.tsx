'use client';

import { currencySign } from '@/core/shared/forms';
import { useState } from 'react';
import type { Colour } from '@/core/colour';
import { grade, priceLookup } from '@/core/ledger';
import { elementKey, elementName } from '@/core/parts';
import { readMoney } from '@/core/shared/money';
import type { TrayId } from '@/core/shared/ids';
import { addStock, proposeTrays, readTypedLot } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { money } from '@/ui/numbers';
import { source } from '../common/build-store';
import { typedLotWords } from '../words/typed-lot';
import type { OwnPartsActs } from '../common/own-parts-acts';

/** Counting parts in by one line; where they go is proposed. */
export function AddStockForm({
  stock,
  acts,
  palette,
  tray,
}: {
  stock: StockSnapshot;
  acts: OwnPartsActs;
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
  const [proposal] = lot ? proposeTrays([lot], stock.trays, stock.rows) : [];
  const goal = into ?? tray ?? proposal?.tray ?? stock.trays[0]?.id ?? null;
  const price = each.trim() === '' ? null : readMoney(each);
  const usual = lot ? priceLookup(stock.prices)(lot.element, lot.grade) : null;
  return (
    <form
      aria-label="Add parts"
      className="flex flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!lot || !goal || price === undefined) return;
        acts.perform(
          addStock(
            { element: lot.element, grade: lot.grade, qty: lot.qty, worth: price ?? usual },
            goal,
            source(),
          ),
        );
        setText('');
        setInto(null);
      }}
    >
      <h2>Add parts</h2>
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
          'One line for each kind. Click a kind to move, lend, sell or delete it.'
        )}
      </p>
      <Field label={proposal && !into && !tray ? `Tray (${proposal.why})` : 'Tray'}>
        <Select value={goal ?? ''} onChange={(e) => setInto((e.target.value || null) as TrayId | null)}>
          {stock.trays.length === 0 && <option value="">make a tray first</option>}
          {stock.trays.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name} {t.place}
            </option>
          ))}
        </Select>
      </Field>
      <Field
        label={
          usual === null
            ? `${currencySign()} a piece, if known`
            : `${currencySign()} a piece (else ${money(usual)})`
        }
      >
        <Input
          value={each}
          inputMode="decimal"
          aria-invalid={price === undefined}
          onChange={(e) => setEach(e.target.value)}
        />
      </Field>
      <Button look="main" type="submit" disabled={!lot || !goal || price === undefined}>
        Add parts
      </Button>
    </form>
  );
}
