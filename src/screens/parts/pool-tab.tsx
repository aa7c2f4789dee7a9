'use client';

import { differenceWords } from '../words/colour';
import { useEffect, useMemo, useState } from 'react';
import type { Copy } from '@/core/ledger';
import { piecesOn, shippedLots, type Workbench } from '@/core/workbench';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { bindToBoxes, fitPool, isBoundToBoxes, poolExceptions, type PoolBox } from '@/core/pool';
import { Check } from '@/ui/field';
import { Glyph, LotGlyph } from '@/ui/glyph';
import { count, modNo, money, pieces, piecesOfKinds } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';
import { useBuild } from '../common/build-store';
import { PoolColours } from './pool-colours';
import { PoolModels } from './pool-models';
import { ask } from '../sending/answers';
import { TwoListsOfParts } from './two-lists';
import { NumberBox } from '../common/number-box';

/** A build bound to its own boxes and nothing else: does it fit, what is short, what comes near, what is left over. */
export function PoolTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [extra, setExtra] = useState<ReadonlyMap<string, number>>(new Map());
  const own = useMemo(() => {
    void version;
    return boxesOf(workbench);
  }, [workbench, version]);
  const prices = useBoxPrices(own);
  const boxes = own.map((b) => ({
    ...b,
    copies: Math.max(0, extra.get(b.code) ?? b.copies),
    price: prices.get(b.code) ?? null,
  }));
  const wants = useMemo(() => {
    void version;
    return [...piecesOn(workbench, workbench.planned)].map(([element, qty]) => ({ element, qty }));
  }, [workbench, version]);
  const report = fitPool(boxes, wants, workbench.palette);
  const outside = wants.reduce((s, w) => s + w.qty, 0) - report.used;
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[1fr_440px]">
      <section aria-label="Does it fit" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <h1 className="text-[21px] leading-tight">
          {own.length === 0
            ? 'There is no box in this build yet.'
            : report.fits
              ? `It fits: ${pieces(report.used)} of ${count(report.held)} are used, and nothing else.`
              : `${piecesOfKinds(outside, report.short.length)} ${outside === 1 ? 'is' : 'are'} not in these boxes.`}
        </h1>
        <p className="text-soft mb-2">
          As planned, held against the boxes of this build alone.{' '}
          {pieces(report.left.reduce((s, l) => s + l.qty, 0))} would be left over.
        </p>
        <Bound />
        <div className="mb-4 flex flex-wrap gap-3">
          {boxes.map((b) => (
            <NumberBox
              key={b.code}
              label={`${b.name}, copies${b.price ? ` (${money(b.price)} each)` : ''}`}
              least={0}
              most={1000}
              value={b.copies}
              onChange={(copies) => setExtra(new Map(extra).set(b.code, copies))}
              live
            />
          ))}
        </div>
        <VirtualList
          items={report.short}
          keyOf={(s) => s.element}
          rowHeight={49}
          className="mb-5"
          rowClass="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1"
        >
          {(s) => (
            <>
              <Glyph element={s.element} mark="out" size={34} />
              <span className="min-w-0 flex-1">
                <b>{s.short}</b> {elementName(s.element)} short
                <span className="text-soft block text-[12px]">{nearWords(s)}</span>
              </span>
              <span className="flex gap-2">
                {[...s.alike, ...s.near].slice(0, 4).map((n) => (
                  <LotGlyph key={n.element} element={n.element} qty={n.left} size={28} />
                ))}
              </span>
            </>
          )}
        </VirtualList>
        <PoolModels owned={own} wants={wants} />
        <TwoListsOfParts />
      </section>
      <PoolColours boxes={boxes} />
    </div>
  );
}

/** Binding the build to its boxes, and what was taken from elsewhere all the same: exceptions, counted. */
function Bound() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  useBuild((s) => s.version);
  const bound = isBoundToBoxes(workbench.records, workbench.build);
  const exceptions = poolExceptions(workbench);
  const sum = exceptions.reduce((s, e) => s + e.qty, 0);
  const bind = (on: boolean) => perform(bindToBoxes(workbench.records, workbench.build, on));
  return (
    <div className="mb-3">
      <Check words="this build uses its own boxes and nothing else" on={bound} onChange={bind} />
      {bound && (
        <details>
          <summary className="min-h-7">
            {sum === 0
              ? 'No exception so far.'
              : `▲ ${count(exceptions.length)} ${exceptions.length === 1 ? 'exception' : 'exceptions'}: ${pieces(sum)} from outside the pool.`}
          </summary>
          <ul className="text-soft">
            {exceptions.map(({ entry, qty }) => {
              const m = entry.modification
                ? workbench.records.modification.get(entry.modification)
                : undefined;
              return (
                <li key={entry.id}>
                  {count(qty)} by entry {entry.no}, {entry.state}
                  {m && (
                    <>
                      , <bdi>{`${modNo(m.no)} ${m.title}`}</bdi>
                    </>
                  )}
                </li>
              );
            })}
          </ul>
        </details>
      )}
    </div>
  );
}

/** What one more copy of each box costs, as far as somebody sells it. */
function useBoxPrices(boxes: readonly PoolBox[]): ReadonlyMap<string, number> {
  const [prices, setPrices] = useState<ReadonlyMap<string, number>>(new Map());
  const key = boxes.map((b) => encodeURIComponent(b.code)).join(',');
  useEffect(() => {
    if (!key) return;
    let there = true;
    void ask<Record<string, number>>(`/api/market/boxes?codes=${key}`).then((answer) => {
      if (answer && there) setPrices(new Map(Object.entries(answer)));
    });
    return () => void (there = false);
  }, [key]);
  return prices;
}

/** "3 left in dove, ΔE 4.1 away; or a plant 2x2 in fern is there; or 1 more copy of Night Tram, £14.20" */
function nearWords(s: ReturnType<typeof fitPool>['short'][number]): string {
  const near = s.near[0];
  const more = s.more[0];
  const alike = s.alike[0];
  const parts = [
    alike ? `${alike.left} ${elementName(alike.element)} ${alike.left === 1 ? 'is' : 'are'} there` : '',
    near
      ? `${near.left} left in ${splitElementKey(near.element).colour}, ${differenceWords(near.deltaE)}`
      : '',
    more
      ? `${more.copies} more ${more.copies === 1 ? 'copy' : 'copies'} of ${more.name} would do${more.cost === null ? '' : `, ${money(more.cost)}`}`
      : '',
  ].filter(Boolean);
  return parts.length > 0 ? parts.join('; or ') : 'no box of this build has anything like it: an exception';
}

/** The boxes of a build as kinds with copies, from what was unpacked. */
function boxesOf(workbench: Workbench): PoolBox[] {
  const byCopy = new Map<Copy, Map<ElementKey, number>>();
  for (const { copy, element, qty } of shippedLots(workbench)) {
    const lots = byCopy.get(copy) ?? new Map<ElementKey, number>();
    byCopy.set(copy, lots.set(element, (lots.get(element) ?? 0) + qty));
  }
  const boxes = new Map<string, PoolBox>();
  for (const [copy, lots] of byCopy) {
    const code = copy.setCode || copy.setName;
    const old = boxes.get(code);
    boxes.set(code, {
      code,
      name: copy.setName,
      copies: (old?.copies ?? 0) + 1,
      lots: old?.lots ?? [...lots].map(([element, qty]) => ({ element, qty })),
    });
  }
  return [...boxes.values()];
}
