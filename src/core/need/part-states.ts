import { placeOf, zoneOf, type Scope } from '../ledger';
import { ENTRY_KINDS } from '../places';
import type { Entry } from '../records';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Workbench } from '../workbench';
import { needOf, type NeedReport } from './need';

/** Where a piece that goes in stands: it was there, it was bought, it is on its way, or it has yet to be bought. */
export const PART_STATES = ['had', 'bought', 'ordered', 'to buy'] as const;
export type PartState = (typeof PART_STATES)[number];

/** Pieces in a state with their money, and how many of them have no known price. */
export interface StateSum {
  readonly pieces: number;
  /** Had: what it is worth. Bought and ordered: what was paid. To buy: what it is reckoned to cost. */
  readonly money: Minor;
  readonly unpriced: number;
}

/** An entry's pieces in one state: what a total opens into. */
export interface StatePart extends StateSum {
  readonly entry: Entry;
  readonly state: PartState;
}

/**
 * Every entry of a scope with its pieces that go in, by state: each piece in one state. What was done was had or bought.
 * What is planned is had where the plan finds it in spares, boxes or trays, ordered where it waits at an order, and to
 * buy where it is to be bought or where a place is short of it (as `needOf` says).
 *
 * @param planned  false = what is done alone
 */
export function statesOf(
  workbench: Workbench,
  scope: Scope,
  planned = true,
  need: NeedReport = needOf(workbench),
): StatePart[] {
  const short = shortOf(need);
  const { planned: plan, built } = workbench;
  const books = planned ? plan : built;
  const zones = scope.of === 'zone' ? books.nested(scope.zone) : null;
  return books.entriesOf(scope).flatMap((entry) => statesIn(entry, zones, short));
}

type Sum = { pieces: number; money: number; unpriced: number };

function statesIn(
  entry: Entry,
  zones: ReadonlySet<ZoneId> | null,
  short: ReadonlyMap<string, number>,
): StatePart[] {
  // Most entries of a log bring nothing in: no table is made for them.
  let sums: Map<PartState, Sum> | undefined;
  const count = (state: PartState, qty: number, worth: Minor | null) => {
    if (qty <= 0) return;
    sums ??= new Map();
    let sum = sums.get(state);
    if (!sum) sums.set(state, (sum = { pieces: 0, money: 0, unpriced: 0 }));
    sum.pieces += qty;
    if (worth === null) sum.unpriced += qty;
    else sum.money += worth * qty;
  };
  // The same pieces in another condition came from nowhere and were paid with nothing.
  if (ENTRY_KINDS[entry.kind].regrades) return [];
  for (let i = 0; i < entry.movements.length; i++) {
    const m = entry.movements[i]!;
    const from = placeOf(m.from);
    if (from === 'model' || from === 'shipped') continue;
    const zone = zoneOf(m.to);
    if (!zone || (zones && !zones.has(zone))) continue;
    const lacks = entry.state === 'done' ? 0 : (short.get(`${entry.id}|${i}`) ?? 0);
    count(stateOf(entry, from), m.qty - lacks, m.worth);
    count('to buy', lacks, m.worth);
  }
  return sums ? [...sums].map(([state, sum]) => ({ entry, state, ...sum })) : [];
}

function stateOf(entry: Entry, from: ReturnType<typeof placeOf>): PartState {
  if (from === 'outside') return entry.state === 'done' ? 'bought' : 'to buy';
  if (from === 'order') return entry.state === 'done' ? 'bought' : 'ordered';
  return 'had';
}

/** What the need says each movement of a planned entry is short of, by `entry|movement`. */
function shortOf(need: NeedReport): Map<string, number> {
  const short = new Map<string, number>();
  for (const lot of need.lots)
    for (const s of lot.sources) if (s.movement !== null) short.set(`${s.entry}|${s.movement}`, s.qty);
  return short;
}

/**
 * The total of each state: `totalsOf(statesOf(workbench, { of: 'build' }))['to buy'].pieces`.
 */
export function totalsOf(parts: readonly StatePart[]): Record<PartState, StateSum> {
  const sums = Object.fromEntries(
    PART_STATES.map((s) => [s, { pieces: 0, money: 0, unpriced: 0 }]),
  ) as Record<PartState, { pieces: number; money: number; unpriced: number }>;
  for (const p of parts) {
    sums[p.state].pieces += p.pieces;
    sums[p.state].money += p.money;
    sums[p.state].unpriced += p.unpriced;
  }
  return sums;
}
