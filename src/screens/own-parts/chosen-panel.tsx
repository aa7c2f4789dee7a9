'use client';

import { ActSelect } from '@/ui/act-select';
import { currencySign, formatFixed } from '@/core/shared/forms';
import { useRef, useState } from 'react';
import { accountOwner, batchOf, type Command } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { readMoney } from '@/core/shared/money';
import { breakUpKept, keepWhole, moveStock, takeFrom, type StockLot, type StockHit } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { source } from '../common/build-store';
import { list } from '../words/places';
import type { OwnPartsActs } from '../common/own-parts-acts';
import { isFilledIn, NumberBox } from '../common/number-box';

const keyOf = (l: StockLot): string => `${l.account}|${l.element}|${l.grade}`;

/** What is chosen, tray by tray and condition by condition, and what can be done with it. */
export function ChosenPanel({
  stock,
  hits,
  acts,
  onDone,
}: {
  stock: StockSnapshot;
  hits: readonly StockHit[];
  acts: OwnPartsActs;
  onDone: () => void;
}) {
  const all = hits.flatMap((h) => h.lots);
  const [amounts, setAmounts] = useState<ReadonlyMap<string, number>>(
    () => new Map(all.map((l) => [keyOf(l), l.qty])),
  );
  const [note, setNote] = useState('');
  const [each, setEach] = useState('');
  const lots = all
    .map((l) => ({ ...l, qty: Math.min(l.qty, amounts.get(keyOf(l)) ?? 0) }))
    .filter((l) => l.qty > 0);
  const going = lots.reduce((s, l) => s + l.qty, 0);
  const price = each.trim() === '' ? null : readMoney(each);
  const area = useRef<HTMLElement>(null);
  const act = (command: Command) => {
    if (!isFilledIn(area.current)) return;
    acts.perform(command);
    onDone();
  };
  const move = (id: string) => {
    const tray = stock.trays.find((t) => t.id === id);
    if (tray) act(moveStock(lots, tray, stock.plans, source()));
  };
  const take = (how: 'lent' | 'sold' | 'binned') =>
    act(takeFrom(lots, how, note.trim(), price ?? null, source()));
  const oneTray = new Set(lots.map((l) => l.account)).size === 1;
  return (
    <section ref={area} aria-label="Chosen" className="flex min-h-0 flex-col gap-2">
      <h2>{pieces(going)} chosen</h2>
      <ul className="min-h-0 flex-1 overflow-auto" tabIndex={0} aria-label="Chosen parts">
        {all.map((l) => (
          <li key={keyOf(l)} className="border-rule flex items-center gap-2 border-b py-1">
            <Glyph element={l.element} size={30} label="" />
            <span className="min-w-0 flex-1">
              <span className="block truncate">{elementName(l.element)}</span>
              <span className="text-soft block text-[12px]">{about(stock, l)}</span>
            </span>
            <NumberBox
              label={`Pieces of ${elementName(l.element)} ${l.grade}`}
              bare
              least={0}
              most={l.qty}
              value={amounts.get(keyOf(l)) ?? 0}
              onChange={(qty) => setAmounts(new Map(amounts).set(keyOf(l), qty))}
              live
            />
          </li>
        ))}
        {keptIn(stock, all).map((k) => (
          <li key={k.id} className="border-rule flex items-center gap-2 border-b py-1">
            <span className="flex-1">
              {pieces(k.lots.reduce((s, l) => s + l.qty, 0))} kept whole as <b>{k.name}</b>
            </span>
            <Button onClick={() => act(breakUpKept(k))} aria-label={`Break up ${k.name}`}>
              Break up
            </Button>
          </li>
        ))}
      </ul>
      <ActSelect
        label="Move to tray"
        verb="Move"
        none="Move to…"
        disabled={going === 0}
        options={stock.trays.map((t) => ({ value: t.id, words: `${t.name} ${t.place}` }))}
        onAct={move}
      />
      <div className="grid grid-cols-[1fr_90px] gap-2">
        <Field label="To whom, why, or a name">
          <Input value={note} maxLength={200} onChange={(e) => setNote(e.target.value)} />
        </Field>
        <Field label={`${currencySign()} a piece, sold`}>
          <Input
            value={each}
            inputMode="decimal"
            aria-invalid={price === undefined}
            onChange={(e) => setEach(e.target.value)}
          />
        </Field>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button disabled={going === 0} onClick={() => take('lent')}>
          Lend
        </Button>
        <Button disabled={going === 0 || price === undefined} onClick={() => take('sold')}>
          Sell
        </Button>
        <Button disabled={going === 0} onClick={() => take('binned')}>
          Throw away
        </Button>
        <Button
          disabled={going === 0 || !oneTray || !note.trim()}
          title="Pieces of one tray stay together under the name above"
          onClick={() =>
            act(
              keepWhole(
                note.trim(),
                lots[0]!.account,
                lots.map(({ element, qty }) => ({ element, qty })),
                source(),
              ),
            )
          }
        >
          Keep whole
        </Button>
        <Button onClick={onDone}>Choose nothing</Button>
      </div>
    </section>
  );
}

/** Where a lot lies, its condition, what its batch read, and which builds have planned for it. */
function about(stock: StockSnapshot, l: StockLot): string {
  const tray = stock.trays.find((t) => t.id === accountOwner<string>(l.account))?.name ?? 'no tray';
  const batch = batchOf(l.grade);
  const reading = batch ? stock.readings.find((r) => r.batch === batch) : undefined;
  const measured = reading
    ? `, read L ${formatFixed(reading.l, 0)} a ${formatFixed(reading.a, 0)} b ${formatFixed(reading.b, 0)}`
    : '';
  const claims = stock.claims
    .filter((c) => c.account === l.account && c.element === l.element && c.grade === l.grade)
    .map((c) => `${count(c.qty)} for ${stock.builds.find((b) => b.id === c.build)?.name ?? 'a build'}`);
  return `${tray}, ${count(l.qty)} ${l.grade}${measured}${claims.length > 0 ? `; planned: ${list(claims)}` : ''}`;
}

const keptIn = (stock: StockSnapshot, lots: readonly StockLot[]) =>
  stock.kept.filter((k) =>
    lots.some((l) => l.account === k.account && k.lots.some((x) => x.element === l.element)),
  );
