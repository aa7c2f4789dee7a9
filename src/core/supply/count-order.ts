import type { Command, Source, Workbench } from '../bench';
import {
  added,
  BLANK_ENTRY,
  changed,
  goneAccount,
  joinDiffs,
  orderAccount,
  OUTSIDE,
  sparesAccount,
  type AccountKey,
  type Diff,
  type Entry,
  type Grade,
  type Movement,
  type Order,
} from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type EntryId } from '../shared/ids';

/** What waits at an order. */
export interface AwaitedLot {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

export const awaited = (bench: Workbench, order: Order): AwaitedLot[] => {
  const at = orderAccount(order.id);
  return bench.built.balances
    .rows((a) => a === at)
    .filter((r) => r.qty > 0)
    .map(({ element, grade, qty }) => ({ element, grade, qty }));
};

/**
 * Counts a parcel in: what came goes to the spares, and the planned entries that wait for it take it from there. What did
 * not come, or came wrong, is claimed: it leaves the order as missing, and the plans need it again.
 */
export function countOrderIn(
  bench: Workbench,
  order: Order,
  came: (lot: AwaitedLot) => number,
  source: Source,
): Command {
  const at = orderAccount(order.id);
  const spares = sparesAccount(bench.build);
  const there = awaited(bench, order).map((l) => ({ ...l, came: Math.max(0, Math.min(l.qty, came(l))) }));
  const left = new Map(there.map((l) => [`${l.element}|${l.grade}`, l.came]));
  const movements = there.flatMap((l): Movement[] => {
    const move = (qty: number, to: AccountKey): Movement[] =>
      qty > 0 ? [{ element: l.element, grade: l.grade, qty, from: at, to, worth: null }] : [];
    return [...move(l.came, spares), ...move(l.qty - l.came, goneAccount('missing'))];
  });
  const diffs: Diff[] = [];
  if (movements.length > 0) {
    const entry: Entry = {
      ...BLANK_ENTRY,
      id: asId<EntryId>(source.newId()),
      build: bench.build,
      kind: 'transfer',
      no: bench.nextEntry(null).no,
      order: order.id,
      note: `counted in from ${order.seller}`,
      loggedAt: source.now,
      movements,
    };
    diffs.push(added('entry', entry));
  }
  for (const e of bench.entries) {
    if (e.state !== 'planned' || !e.movements.some((m) => m.from === at)) continue;
    const next = e.movements.flatMap((m): Movement[] => {
      if (m.from !== at) return [m];
      const key = `${m.element}|${m.grade}`;
      const n = Math.min(m.qty, left.get(key) ?? 0);
      left.set(key, (left.get(key) ?? 0) - n);
      const got = n > 0 ? [{ ...m, qty: n, from: spares }] : [];
      return n < m.qty ? [...got, { ...m, qty: m.qty - n, from: OUTSIDE }] : got;
    });
    diffs.push(changed('entry', e, { movements: next, order: null }));
  }
  return { label: `count in from ${order.seller}`, diff: joinDiffs(...diffs) };
}
