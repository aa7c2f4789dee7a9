import type { Workbench } from '../bench';
import { placeOf, zoneOf, type AccountKey, type Entry, type Grade } from '../ledger';
import { byElementName, partOf, splitElementKey, type ElementKey } from '../parts';
import type { EntryId, ModificationId, ZoneId } from '../shared/ids';

/** Pieces that one movement of a planned entry still has to get from somewhere. */
export interface NeedSource {
  readonly entry: EntryId;
  /** Which of the entry's movements. */
  readonly movement: number;
  readonly qty: number;
  readonly modification: ModificationId | null;
  readonly zone: ZoneId | null;
}

/** One lot of the need: an element with the planned entries that call for it. */
export interface NeedLot {
  readonly element: ElementKey;
  readonly qty: number;
  /** True when every piece of it is hidden: its colour does not matter. */
  readonly hidden: boolean;
  readonly sources: readonly NeedSource[];
}

/** What plans call for, and where it comes from. Pieces. */
export interface NeedReport {
  readonly lots: readonly NeedLot[];
  /** All that planned entries put on. */
  readonly planned: number;
  readonly fromSpares: number;
  readonly fromStores: number;
  readonly fromDonors: number;
  readonly ordered: number;
  readonly missing: number;
  /** Elements of which the plan takes nearly all there are: two pieces or fewer stay at hand. */
  readonly runningLow: readonly {
    readonly element: ElementKey;
    readonly left: number;
    readonly taken: number;
  }[];
}

/**
 * Need = planned - what the same build frees - stores - donors - already ordered, in the order of the log: a planned entry
 * that calls for more than its place then has is short by the rest. What-ifs are nobody's need.
 */
export function needOf(bench: Workbench): NeedReport {
  const entries = bench.entries
    .filter((e) => e.state === 'planned' && e.whatIf === null)
    .sort((a, b) => a.no - b.no || a.position - b.position);
  const left = new Map<string, number>();
  const key = (a: AccountKey, e: ElementKey, g: Grade) => `${a}|${e}|${g}`;
  for (const r of bench.built.balances.rows()) left.set(key(r.account, r.element, r.grade), r.qty);
  const lots = new Map<string, { element: ElementKey; hidden: boolean; sources: NeedSource[] }>();
  const counts = { spares: 0, stores: 0, donor: 0, order: 0 };
  const taken = new Map<ElementKey, number>();
  let planned = 0;
  const short = (e: Entry, movement: number, element: ElementKey, qty: number) => {
    const id = `${element}|${e.hidden}`;
    const lot = lots.get(id) ?? { element, hidden: e.hidden, sources: [] };
    const zone = zoneOf(e.movements[movement]?.to ?? ('outside' as AccountKey)) ?? null;
    lot.sources.push({ entry: e.id, movement, qty, modification: e.modification, zone });
    lots.set(id, lot);
  };
  for (const e of entries) {
    // What the entry takes off is free for it and for those after it.
    for (const m of e.movements)
      if (placeOf(m.from) === 'model') {
        const k = key(m.to, m.element, m.grade);
        left.set(k, (left.get(k) ?? 0) + m.qty);
      }
    e.movements.forEach((m, i) => {
      if (placeOf(m.to) !== 'model' || placeOf(m.from) === 'model') return;
      planned += m.qty;
      const place = placeOf(m.from);
      if (place === 'outside') return short(e, i, m.element, m.qty);
      const k = key(m.from, m.element, m.grade);
      const had = Math.max(0, Math.min(m.qty, left.get(k) ?? 0));
      left.set(k, (left.get(k) ?? 0) - had);
      if (place === 'spares' || place === 'stores' || place === 'donor' || place === 'order')
        counts[place] += had;
      if (place === 'stores' || place === 'spares') taken.set(m.element, (taken.get(m.element) ?? 0) + had);
      if (had < m.qty) short(e, i, m.element, m.qty - had);
    });
  }
  const all = [...lots.values()]
    .map((l) => ({ ...l, qty: l.sources.reduce((s, x) => s + x.qty, 0) }))
    .sort((a, b) => byElementName(a.element, b.element));
  return {
    lots: all,
    planned,
    fromSpares: counts.spares,
    fromStores: counts.stores,
    fromDonors: counts.donor,
    ordered: counts.order,
    missing: all.reduce((s, l) => s + l.qty, 0),
    runningLow: runningLow(bench, taken, left),
  };
}

function runningLow(
  bench: Workbench,
  taken: ReadonlyMap<ElementKey, number>,
  left: ReadonlyMap<string, number>,
): NeedReport['runningLow'] {
  const there = new Map<ElementKey, number>();
  for (const r of bench.built.balances.rows((a) => ['stores', 'spares'].includes(placeOf(a)))) {
    const n = left.get(`${r.account}|${r.element}|${r.grade}`) ?? 0;
    there.set(r.element, (there.get(r.element) ?? 0) + Math.max(0, n));
  }
  return [...taken]
    .map(([element, n]) => ({ element, taken: n, left: there.get(element) ?? 0 }))
    .filter((r) => r.left <= 2)
    .sort((a, b) => a.left - b.left || b.taken - a.taken);
}

/** The need of each part of a division: zones, modifications or families, most first. */
export function needBy<T>(
  lots: readonly NeedLot[],
  of: (lot: NeedLot, source: NeedSource) => T,
): [T, number][] {
  const sums = new Map<T, number>();
  for (const lot of lots)
    for (const s of lot.sources) {
      const k = of(lot, s);
      sums.set(k, (sums.get(k) ?? 0) + s.qty);
    }
  return [...sums].sort((a, b) => b[1] - a[1]);
}

export const familyOf = (lot: Pick<NeedLot, 'element'>): string =>
  partOf(splitElementKey(lot.element).part).family.group;
