'use client';

import { useState } from 'react';
import type { Colour } from '@/core/colour';
import { elementKey, elementName } from '@/core/parts';
import { readMoney } from '@/core/shared/money';
import { currencySign } from '@/core/shared/forms';
import { addPrice, readTypedLot } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { typedLotWords } from '../words/typed-lot';
import type { OwnPartsActs } from '../common/own-parts-acts';

interface AddProps {
  readonly stock: Pick<StockSnapshot, 'prices'>;
  readonly acts: Pick<OwnPartsActs, 'perform'>;
  readonly palette: readonly Colour[];
}

/** Adds one price to the book: a part and its colour, and what it costs new or used. */
export function AddPriceForm({ stock, acts, palette }: AddProps) {
  const [text, setText] = useState('');
  const [amounts, setAmounts] = useState({ newPrice: '', usedPrice: '' });
  // The same reader as for parts that are counted in, of one piece.
  const read = readTypedLot(`1 ${text}`, palette);
  const element = read.ok && read.value.colour ? elementKey(read.value.part, read.value.colour) : null;
  const amount = (typed: string) => (typed.trim() === '' ? null : readMoney(typed));
  const [newPrice, usedPrice] = [amount(amounts.newPrice), amount(amounts.usedPrice)];
  const readable = newPrice !== undefined && usedPrice !== undefined;
  const ready = element !== null && readable && (newPrice !== null || usedPrice !== null);
  const says = !text.trim()
    ? ''
    : !read.ok
      ? typedLotWords(read.reason)
      : !readable
        ? 'A price is an amount such as 0.12.'
        : element && stock.prices.some((p) => p.element === element)
          ? `${elementName(element)} has a price already: this sets it.`
          : '';
  return (
    <form
      aria-label="Add a price"
      className="border-rule mb-3 flex flex-wrap items-end gap-2 border-b pb-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!ready) return;
        acts.perform(addPrice(stock.prices, element, { newPrice, usedPrice }));
        setText('');
        setAmounts({ newPrice: '', usedPrice: '' });
      }}
    >
      <Field label="Part and colour">
        <Input
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="brick 1x2 ash"
          className="w-56"
        />
      </Field>
      {element && <Glyph element={element} size={32} />}
      {(['newPrice', 'usedPrice'] as const).map((which) => (
        <Field key={which} label={`${which === 'newPrice' ? 'New' : 'Used'}, ${currencySign()} each`}>
          <Input
            inputMode="decimal"
            value={amounts[which]}
            onChange={(e) => setAmounts({ ...amounts, [which]: e.target.value })}
            className="w-24 text-right"
          />
        </Field>
      ))}
      <Button look="main" type="submit" disabled={!ready}>
        Add the price
      </Button>
      <p role="status" className="text-soft basis-full">
        {says}
      </p>
    </form>
  );
}
