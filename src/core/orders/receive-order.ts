import { transferOf, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  accountOwner,
  donorAccount,
  goneAccount,
  orderAccount,
  OUTSIDE,
  placeOf,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Grade,
} from '../places';
import { added, changed, joinDiffs, type Diff } from '../ledger';
import type { ClaimKind, Copy, Movement, Order, ParcelClaim } from '../records';
import type { ElementKey } from '../parts';
import { asId, type CopyId, type ParcelClaimId, type TrayId } from '../shared/ids';

/** What waits at an order. */
export interface AwaitedLot {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

export const awaited = (workbench: Workbench, order: Order): AwaitedLot[] => {
  const at = orderAccount(order.id);
  return workbench.built.balances
    .rows((a) => a === at)
    .filter((r) => r.qty > 0)
    .map(({ element, grade, qty }) => ({ element, grade, qty }));
};

/** The box that comes by an order; undefined for a parcel of single parts. */
export function boxOf(workbench: Workbench, order: Order): Copy | undefined {
  const at = orderAccount(order.id);
  for (const e of workbench.entries) {
    if (e.kind !== 'unpack' || e.order !== order.id) continue;
    const sealed = e.movements.find((m) => m.to === at);
    if (sealed) return workbench.records.copy.get(accountOwner<CopyId>(sealed.from));
  }
  return undefined;
}

/** Where the pieces of a parcel go. */
export interface ParcelGoal {
  /** True = entries that have all their pieces by it are placed at once, straight onto the model. */
  readonly straightOn: boolean;
  /** Where goes what no plan waits for; null = to the build's spares. */
  readonly rest: TrayId | null;
}

/** What becomes of pieces that did not come: they are still to come, or are claimed as not there, wrong or damaged. */
export type Remainder = 'to come' | ClaimKind;

/**
 * Counts a parcel in: what plans wait for goes to the spares, and they take it from there, or straight onto the model;
 * what no plan waits for goes to the spares or to a tray. A box stays together instead, as a donor that plans take from.
 * What did not come is still to come, or is claimed: then it leaves the order as missing, the plans need it again, and a claim
 * stays until the seller has answered.
 */
export function receiveOrder(
  workbench: Workbench,
  order: Order,
  came: (lot: AwaitedLot) => number,
  source: Source,
  goal: ParcelGoal = { straightOn: false, rest: null },
  remainder: (lot: AwaitedLot) => Remainder = () => 'short',
): Command {
  const at = orderAccount(order.id);
  const box = boxOf(workbench, order);
  const hand = box ? donorAccount(box.id) : sparesAccount(workbench.build);
  const there = awaited(workbench, order).map((l) => ({ ...l, came: Math.max(0, Math.min(l.qty, came(l))) }));
  const left = new Map(there.map((l) => [keyOf(l), l.came]));
  /** What stays at the order, since it is still to come. */
  const later = new Map(there.map((l) => [keyOf(l), remainder(l) === 'to come' ? l.qty - l.came : 0]));
  const [placed, kept] = [new Map<string, number>(), new Map<string, number>()];
  const diffs: Diff[] = [];
  for (const e of workbench.entries) {
    if (e.state !== 'planned' || !e.movements.some((m) => m.from === at)) continue;
    const next = e.movements.flatMap((m): Movement[] => {
      if (m.from !== at) return [m];
      const n = Math.min(m.qty, left.get(keyOf(m)) ?? 0);
      count(left, keyOf(m), -n);
      const got = n > 0 ? [{ ...m, qty: n }] : [];
      const wait = Math.min(m.qty - n, later.get(keyOf(m)) ?? 0);
      count(later, keyOf(m), -wait);
      const waits = wait > 0 ? [{ ...m, qty: wait, from: WAITS }] : [];
      const again = m.qty - n - wait;
      return [...got, ...waits, ...(again > 0 ? [{ ...m, qty: again, from: OUTSIDE }] : [])];
    });
    const whole = goal.straightOn && e.whatIf === null && next.every((m) => m.from === at || isOff(m));
    const movements = next.map((m) =>
      m.from === WAITS ? { ...m, from: at } : m.from === at && !whole ? { ...m, from: hand } : m,
    );
    for (const m of next) if (m.from === at) count(whole ? placed : kept, keyOf(m), m.qty);
    const waiting = next.some((m) => m.from === WAITS) ? e.order : null;
    diffs.push(
      changed('entry', e, { movements, order: waiting, ...(whole ? { state: 'done' as const } : {}) }),
    );
  }
  const rest = goal.rest && !box ? stockAccount(goal.rest) : hand;
  const movements = there.flatMap((l): Movement[] => {
    const move = (qty: number, to: AccountKey): Movement[] =>
      qty > 0 ? [{ element: l.element, grade: l.grade, qty, from: at, to, worth: null }] : [];
    const waited = kept.get(keyOf(l)) ?? 0;
    const over = l.came - waited - (placed.get(keyOf(l)) ?? 0);
    const toHand = rest === hand ? waited + over : waited;
    return [
      ...move(toHand, hand),
      ...(rest === hand ? [] : move(over, rest)),
      ...(remainder(l) === 'to come' ? [] : move(l.qty - l.came, goneAccount('missing'))),
    ];
  });
  if (movements.length > 0) {
    const counted = transferOf(workbench, movements, `received from ${order.seller}`, source);
    diffs.unshift(added('entry', { ...counted, order: order.id }));
  }
  const claims = there.flatMap((l): ParcelClaim[] => {
    const kind = remainder(l);
    return kind === 'to come' || l.came === l.qty ? [] : [claimOf(order, l, l.qty - l.came, kind, source)];
  });
  return {
    label: `receive from ${order.seller}`,
    diff: joinDiffs(...diffs, added('parcelClaim', ...claims)),
  };
}

/** Marks, while it is worked out, what of a plan still waits at the order. */
const WAITS = orderAccount(asId('still to come'));

const claimOf = (
  order: Order,
  { element, grade }: AwaitedLot,
  qty: number,
  kind: ClaimKind,
  source: Source,
): ParcelClaim => ({
  id: asId<ParcelClaimId>(source.newId()),
  build: order.build,
  order: order.id,
  element,
  grade,
  qty,
  kind,
  foundAt: source.now.slice(0, 10),
  askedAt: null,
  answer: '',
  end: null,
  refund: 0,
});

const keyOf = (l: Pick<Movement, 'element' | 'grade'>): string => `${l.element}|${l.grade}`;
const isOff = (m: Movement): boolean => placeOf(m.from) === 'model';
const count = (sums: Map<string, number>, key: string, n: number): void => {
  sums.set(key, (sums.get(key) ?? 0) + n);
};
