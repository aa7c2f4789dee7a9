'use client';

import { useMemo, useState } from 'react';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import type { PartId } from '@/core/shared/ids';
import { coloursOfPart, fitPool, type PoolBox } from '@/core/supply';
import { accountOwner, placeOf, type Entry } from '@/core/ledger';
import { Field, Input, Select } from '@/ui/field';
import { Glyph, LotGlyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { useBench } from '../common/bench-store';

/** A build bound to its own boxes and nothing else: does it fit, what is short, what comes near, what is left over. */
export function PoolTab() {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const [extra, setExtra] = useState<ReadonlyMap<string, number>>(new Map());
  const own = useMemo(() => {
    void version;
    return boxesOf([...bench.records.entry.values()], (id) => bench.records.copy.get(id));
  }, [bench, version]);
  const boxes = own.map((b) => ({ ...b, copies: Math.max(0, extra.get(b.code) ?? b.copies) }));
  const wants = useMemo(() => {
    void version;
    return bench.zones.flatMap((z) =>
      bench.planned.balances
        .elements(`model:${z.id}` as never)
        .filter(([, n]) => n > 0)
        .map(([element, qty]) => ({ element, qty })),
    );
  }, [bench, version]);
  const report = fitPool(boxes, wants, bench.palette);
  const parts = [...new Set(boxes.flatMap((b) => b.lots.map((l) => splitElementKey(l.element).part)))].sort();
  const [part, setPart] = useState<PartId | null>(null);
  const chosen = part ?? parts[0] ?? null;
  const outside = wants.reduce((s, w) => s + w.qty, 0) - report.used;
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[1fr_380px]">
      <section aria-label="Does it fit" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <h1 className="text-[21px] leading-tight">
          {own.length === 0
            ? 'There is no box in this build yet.'
            : report.fits
              ? `It fits: ${pieces(report.used)} of ${count(report.held)} are used, and nothing else.`
              : `${pieces(outside)} in ${count(report.short.length)} lots are not in these boxes.`}
        </h1>
        <p className="text-soft mb-3">
          As planned, held against the boxes of this build alone.{' '}
          {pieces(report.left.reduce((s, l) => s + l.qty, 0))} would be left over.
        </p>
        <div className="mb-4 flex flex-wrap gap-3">
          {boxes.map((b) => (
            <Field key={b.code} label={`${b.name}, copies`}>
              <Input
                type="number"
                min={0}
                value={b.copies}
                onChange={(e) =>
                  setExtra(new Map(extra).set(b.code, Math.max(0, Math.floor(Number(e.target.value)) || 0)))
                }
                className="w-24"
              />
            </Field>
          ))}
        </div>
        <ul>
          {report.short.map((s) => (
            <li
              key={s.element}
              className="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1"
            >
              <Glyph element={s.element} mark="out" size={34} />
              <span className="min-w-0 flex-1">
                <b>{s.short}</b> {elementName(s.element)} short
                <span className="text-soft block text-[12px]">{nearWords(s)}</span>
              </span>
              <span className="flex gap-2">
                {s.near.map((n) => (
                  <LotGlyph key={n.element} element={n.element} qty={n.left} size={28} />
                ))}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <aside
        aria-label="Colours of a part"
        tabIndex={0}
        className="border-rule min-h-0 overflow-auto border-l p-4"
      >
        <Field label="In which colours do the boxes have">
          <Select value={chosen ?? ''} onChange={(e) => setPart(e.target.value as PartId)}>
            {parts.map((p) => (
              <option key={p}>{p}</option>
            ))}
          </Select>
        </Field>
        <ul className="mt-2">
          {chosen &&
            coloursOfPart(boxes, chosen).map(({ element, qty }) => (
              <li key={element} className="border-rule flex min-h-10 items-center gap-3 border-b">
                <Glyph element={element} size={32} />
                <span className="flex-1">{splitElementKey(element).colour}</span>
                <b>{count(qty)}</b>
              </li>
            ))}
        </ul>
      </aside>
    </div>
  );
}

/** "one near: 3 left in dove (ΔE 4.1); or one more copy of Night Tram" */
function nearWords(s: ReturnType<typeof fitPool>['short'][number]): string {
  const near = s.near[0];
  const more = s.more[0];
  const parts = [
    near
      ? `${near.left} left in ${splitElementKey(near.element).colour}, ΔE ${near.deltaE.toFixed(1)} away`
      : '',
    more ? `${more.copies} more ${more.copies === 1 ? 'copy' : 'copies'} of ${more.name} would do` : '',
  ].filter(Boolean);
  return parts.length > 0 ? parts.join('; or ') : 'no box of this build has that shape: it is an exception';
}

interface CopyLike {
  readonly setCode: string;
  readonly setName: string;
}

/** The boxes of a build as kinds with copies, from what was unpacked. */
function boxesOf(entries: readonly Entry[], copyOf: (id: string) => CopyLike | undefined): PoolBox[] {
  const byCopy = new Map<string, Map<ElementKey, number>>();
  for (const e of entries) {
    if (e.kind !== 'unpack') continue;
    for (const m of e.movements) {
      if (placeOf(m.from) !== 'shipped') continue;
      const id = accountOwner<string>(m.from);
      const lots = byCopy.get(id) ?? new Map<ElementKey, number>();
      lots.set(m.element, (lots.get(m.element) ?? 0) + m.qty);
      byCopy.set(id, lots);
    }
  }
  const boxes = new Map<string, PoolBox>();
  for (const [id, lots] of byCopy) {
    const copy = copyOf(id);
    if (!copy) continue;
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
