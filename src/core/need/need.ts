import type { Workbench } from '../workbench';
import { freeOf, openPlaceholders, type Balances, type Kept } from '../ledger';
import { OUTSIDE, placeOf, zoneOf, type AccountKey, type Grade } from '../places';
import type { Entry } from '../records';
import { byElementName, partOf, splitElementKey, type ElementKey } from '../parts';
import type { EntryId, ModificationId, ZoneId } from '../shared/ids';

/** Pieces that one movement of a planned entry still has to get from somewhere. */
export interface NeedSource {
  readonly entry: EntryId;
  /** Which of the entry's movements; null = the entry placed a placeholder, and this is what it stands for. */
  readonly movement: number | null;
  readonly qty: number;
  /** Where another shape is taken instead: so many pieces of it fill the place of one. */
  readonly per?: number;
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
  readonly fromStock: number;
  readonly fromDonors: number;
  readonly ordered: number;
  readonly missing: number;
  /** Of those missing: pieces that a placeholder keeps the place of. */
  readonly placeholders: number;
  /** Elements of which the plan takes nearly all there are: two pieces or fewer stay at hand. */
  readonly runningLow: readonly {
    readonly element: ElementKey;
    readonly left: number;
    readonly taken: number;
  }[];
}

/**
 * Running sums of what lies where, while plans take from it in their turn. What is free is looked up where a plan asks for
 * it: a plan touches few of the kinds of a large collection.
 */
class Supplies {
  private readonly left = new Map<string, number>();
  private readonly claimed = new Map<string, number>();
  private readonly balances: Balances;
  private readonly kept: Kept;

  constructor(workbench: Workbench) {
    this.balances = workbench.built.balances;
    this.kept = workbench.kept;
    for (const c of workbench.claims) {
      const key = `${c.account}|${c.element}|${c.grade}`;
      this.claimed.set(key, (this.claimed.get(key) ?? 0) + c.qty);
    }
  }

  at(account: AccountKey, element: ElementKey, g: Grade): number {
    return this.left.get(`${account}|${element}|${g}`) ?? this.atFirst(account, element, g);
  }

  /** What is free before any plan of this build: what builds before this one have planned to take is not there for it. */
  private atFirst(account: AccountKey, element: ElementKey, g: Grade): number {
    const { balances, kept } = this;
    const qty = balances.at(account, element, g);
    const free = qty > 0 ? freeOf(balances, account, element, g, kept) : qty;
    const claimed = this.claimed.get(`${account}|${element}|${g}`) ?? 0;
    return free - Math.max(0, Math.min(claimed, free));
  }

  put(account: AccountKey, element: ElementKey, g: Grade, qty: number): void {
    this.left.set(`${account}|${element}|${g}`, this.at(account, element, g) + qty);
  }

  /** Takes up to so many; gives how many there were. */
  take(account: AccountKey, element: ElementKey, g: Grade, qty: number): number {
    const had = Math.max(0, Math.min(qty, this.at(account, element, g)));
    this.put(account, element, g, -had);
    return had;
  }
}

/**
 * Need = planned - what the same build frees - own parts - donors - already ordered, in the order of the log: a planned entry
 * that calls for more than its place then has is short by the rest. A placeholder that was placed keeps the need of the part it
 * stands for open until that is there. Of own parts only what builds before this one leave counts, and what is kept
 * whole does not. What-ifs are nobody's need.
 */
export function needOf(workbench: Workbench): NeedReport {
  const entries = workbench.entries
    .filter((e) => e.state === 'planned' && e.whatIf === null)
    .sort((a, b) => a.no - b.no || a.position - b.position);
  const left = new Supplies(workbench);
  const lots = new Map<string, { element: ElementKey; hidden: boolean; sources: NeedSource[] }>();
  const counts = { spares: 0, stock: 0, donor: 0, order: 0 };
  const taken = new Map<ElementKey, number>();
  let planned = 0;
  const short = (e: Entry, movement: number | null, element: ElementKey, qty: number) => {
    const id = `${element}|${e.hidden}`;
    const lot = lots.get(id) ?? { element, hidden: e.hidden, sources: [] };
    const to = movement === null ? e.movements[0]?.to : e.movements[movement]?.to;
    const zone = zoneOf(to ?? OUTSIDE) ?? null;
    lot.sources.push({ entry: e.id, movement, qty, modification: e.modification, zone });
    lots.set(id, lot);
  };
  for (const e of entries) {
    // What the entry takes off is free for it and for those after it.
    for (const m of e.movements) if (placeOf(m.from) === 'model') left.put(m.to, m.element, m.grade, m.qty);
    e.movements.forEach((m, i) => {
      if (placeOf(m.to) !== 'model' || placeOf(m.from) === 'model') return;
      planned += m.qty;
      const place = placeOf(m.from);
      if (place === 'outside') return short(e, i, m.element, m.qty);
      // Who says that it is there, uncounted, is believed.
      if (place === 'own') return;
      const had = left.take(m.from, m.element, m.grade, m.qty);
      if (place === 'spares' || place === 'stock' || place === 'donor' || place === 'order')
        counts[place] += had;
      if (place === 'stock' || place === 'spares') taken.set(m.element, (taken.get(m.element) ?? 0) + had);
      if (had < m.qty) short(e, i, m.element, m.qty - had);
    });
  }
  let placeholders = 0;
  for (const { element, qty, entry } of placeholderNeed(workbench, left)) {
    short(entry, null, element, qty);
    placeholders += qty;
  }
  const all = [...lots.values()]
    .map((l) => ({ ...l, qty: l.sources.reduce((s, x) => s + x.qty, 0) }))
    .sort((a, b) => byElementName(a.element, b.element));
  return {
    lots: all,
    planned,
    fromSpares: counts.spares,
    fromStock: counts.stock,
    fromDonors: counts.donor,
    ordered: counts.order,
    missing: all.reduce((s, l) => s + l.qty, 0),
    placeholders,
    runningLow: runningLow(workbench, taken, left),
  };
}

/** What placeholders stand for and nobody has free or on order: the last placed lack theirs first. */
function* placeholderNeed(
  workbench: Workbench,
  left: Supplies,
): Iterable<{ element: ElementKey; qty: number; entry: Entry }> {
  const open = new Map<ElementKey, number>();
  for (const s of openPlaceholders(workbench.entries.filter((e) => e.whatIf === null)))
    open.set(s.standsFor, (open.get(s.standsFor) ?? 0) + s.qty);
  const placed = new Map<ElementKey, Entry[]>();
  for (const e of workbench.entries)
    if (e.kind === 'placeholder' && e.standsFor && e.whatIf === null && e.state === 'done')
      placed.set(e.standsFor, [...(placed.get(e.standsFor) ?? []), e]);
  for (const [element, qty] of open) {
    let lack = qty;
    for (const r of workbench.built.balances.rowsOf(element, isSupply))
      if (lack > 0) lack -= left.take(r.account, element, r.grade, lack);
    for (const entry of (placed.get(element) ?? []).sort((a, b) => b.no - a.no)) {
      const n = Math.min(
        lack,
        entry.movements.reduce((s, m) => s + m.qty, 0),
      );
      if (n > 0) yield { element, qty: n, entry };
      lack -= n;
    }
  }
}

const isSupply = (a: AccountKey): boolean => ['spares', 'stock', 'donor', 'order'].includes(placeOf(a));

function runningLow(
  workbench: Workbench,
  taken: ReadonlyMap<ElementKey, number>,
  left: Supplies,
): NeedReport['runningLow'] {
  const { balances } = workbench.built;
  const isAtHand = (a: AccountKey) => ['stock', 'spares'].includes(placeOf(a));
  const there = (element: ElementKey) =>
    balances
      .rowsOf(element, isAtHand)
      .reduce((n, r) => n + Math.max(0, left.at(r.account, element, r.grade)), 0);
  return [...taken]
    .map(([element, n]) => ({ element, taken: n, left: there(element) }))
    .filter((r) => r.taken > 0 && r.left <= 2)
    .sort((a, b) => a.left - b.left || b.taken - a.taken);
}

/** Whether two needs call for the same pieces by the same entries, in the same order. */
export function sameNeed(a: readonly NeedLot[], b: readonly NeedLot[]): boolean {
  const flat = (lots: readonly NeedLot[]) =>
    JSON.stringify(
      lots.map((l) => [
        l.element,
        l.qty,
        l.hidden,
        l.sources.map((s) => [s.entry, s.movement, s.qty, s.per ?? 1]),
      ]),
    );
  return flat(a) === flat(b);
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
