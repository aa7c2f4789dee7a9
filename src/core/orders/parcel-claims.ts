import type { Workbench } from '../workbench';
import {
  added,
  BLANK_ENTRY,
  changed,
  goneAccount,
  joinDiffs,
  orderAccount,
  OUTSIDE,
  placeOf,
  type Command,
  type Diff,
  type Entry,
  type Movement,
  type Order,
  type ParcelClaim,
  type Source,
} from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { transferOf } from '../workbench';
import { awaited } from './receive-order';

const LABELS = { short: 'too few', wrong: 'wrong', damaged: 'damaged' } as const;

/** A build's claims, the open ones first, then the latest. */
export const claimsOfBuild = (workbench: Workbench): ParcelClaim[] =>
  [...workbench.records.parcelClaim.values()].sort(
    (a, b) => Number(a.end !== null) - Number(b.end !== null) || b.foundAt.localeCompare(a.foundAt),
  );

/** Notes that the seller was asked on a day. */
export const askClaim = (claim: ParcelClaim, day: string): Command => ({
  label: `ask about ${claim.qty} ${LABELS[claim.kind]}`,
  diff: changed('parcelClaim', claim, { askedAt: day }),
});

/** Notes what the seller answered. */
export const answerClaim = (claim: ParcelClaim, answer: string): Command => ({
  label: `note the answer about ${claim.qty} ${LABELS[claim.kind]}`,
  diff: changed('parcelClaim', claim, { answer }),
});

/** Closes a claim with nothing more to come of it. */
export const closeClaim = (claim: ParcelClaim): Command => ({
  label: `close the claim about ${claim.qty} ${LABELS[claim.kind]}`,
  diff: changed('parcelClaim', claim, { end: 'closed' }),
});

/** Money came back for an order: what it cost gets less by that. */
export const refundOrder = (order: Order, amount: Minor): Command => ({
  label: `refund from ${order.seller}`,
  diff: changed('order', order, { refund: order.refund + amount }),
});

/** Closes a claim with the money that came back for it, which the order then cost less. */
export function refundClaim(workbench: Workbench, claim: ParcelClaim, amount: Minor): Command {
  const order = workbench.records.order.get(claim.order);
  return {
    label: `refund for ${claim.qty} ${LABELS[claim.kind]}`,
    diff: joinDiffs(
      changed('parcelClaim', claim, { end: 'refunded', refund: amount }),
      ...(order ? [refundOrder(order, amount).diff] : []),
    ),
  };
}

/**
 * The seller sends the pieces again: they are awaited at the order once more, paid already, and plans that were to buy them
 * wait for these instead.
 */
export function sendAgain(workbench: Workbench, claim: ParcelClaim, source: Source): Command {
  const at = orderAccount(claim.order);
  const { element, grade, qty } = claim;
  const entry: Entry = {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: workbench.build,
    kind: 'order',
    no: workbench.nextEntry(null).no,
    order: claim.order,
    note: `${workbench.records.order.get(claim.order)?.seller ?? ''}, sent again`,
    loggedAt: source.now,
    movements: [{ element, grade, qty, from: OUTSIDE, to: at, worth: 0 }],
  };
  let left = qty;
  const turned: Diff[] = [];
  for (const e of workbench.entries) {
    if (e.state !== 'planned' || e.whatIf !== null || left === 0) continue;
    let touched = false;
    const movements = e.movements.flatMap((m): Movement[] => {
      const wants = placeOf(m.from) === 'outside' && m.element === element && m.grade === grade;
      const n = wants ? Math.min(left, m.qty) : 0;
      if (n === 0) return [m];
      touched = true;
      left -= n;
      const again = { ...m, qty: n, from: at };
      return n < m.qty ? [again, { ...m, qty: m.qty - n }] : [again];
    });
    if (touched) turned.push(changed('entry', e, { movements, order: claim.order }));
  }
  return {
    label: `await ${qty} again`,
    diff: joinDiffs(changed('parcelClaim', claim, { end: 'sent again' }), added('entry', entry), ...turned),
  };
}

/** Waits for a late order until another day. */
export const waitUntil = (order: Order, due: string): Command => ({
  label: `wait for ${order.seller} until ${due}`,
  diff: changed('order', order, { due }),
});

/** Notes that the seller was asked where the parcel is. */
export const chaseOrder = (order: Order, day: string): Command => ({
  label: `chase ${order.seller}`,
  diff: changed('order', order, { chasedAt: day }),
});

/** What cancelling an order would do: pieces that plans have to get elsewhere, and what these cost by the price book. */
export interface Cancelling {
  readonly pieces: number;
  /** What was paid for the awaited pieces; in full if nothing of it has come, postage and fees with it. */
  readonly paid: Minor;
  readonly paidUnpriced: number;
  readonly elsewhere: Minor;
  readonly elsewhereUnpriced: number;
}

/**
 * What it means to buy what is awaited of an order elsewhere: the money that should come back, and what the pieces cost at the
 * price book's prices, postage apart.
 */
export function cancelling(workbench: Workbench, order: Order): Cancelling {
  const lots = awaited(workbench, order);
  const at = orderAccount(order.id);
  const bought = workbench.entries.filter((e) => e.kind === 'order' && e.order === order.id);
  const priceOf = (element: Movement['element'], grade: Movement['grade']) =>
    bought.flatMap((e) => e.movements).find((m) => m.to === at && m.element === element && m.grade === grade)
      ?.worth ?? null;
  const sum = { paid: 0, paidUnpriced: 0, elsewhere: 0, elsewhereUnpriced: 0 };
  for (const l of lots) {
    const paid = priceOf(l.element, l.grade);
    if (paid === null) sum.paidUnpriced += l.qty;
    else sum.paid += paid * l.qty;
    const book = workbench.priceOf(l.element, l.grade);
    if (book === null) sum.elsewhereUnpriced += l.qty;
    else sum.elsewhere += book * l.qty;
  }
  const came = bought.flatMap((e) => e.movements).reduce((s, m) => s + m.qty, 0);
  const pieces = lots.reduce((s, l) => s + l.qty, 0);
  const around = came === pieces ? order.postage + order.fees - order.refund : 0;
  return { ...sum, paid: Math.max(0, sum.paid + around), pieces };
}

/**
 * Cancels what is awaited of an order: the pieces leave it, plans that waited for them are to buy them again, and `refund` is
 * what came back.
 */
export function cancelOrder(workbench: Workbench, order: Order, refund: Minor, source: Source): Command {
  const at = orderAccount(order.id);
  const movements = awaited(workbench, order).map((l): Movement => ({
    ...l,
    from: at,
    to: goneAccount('missing'),
    worth: null,
  }));
  const turned = workbench.entries.flatMap((e) =>
    e.state === 'planned' && e.movements.some((m) => m.from === at)
      ? [
          changed('entry', e, {
            order: null,
            movements: e.movements.map((m) => (m.from === at ? { ...m, from: OUTSIDE } : m)),
          }),
        ]
      : [],
  );
  const gone =
    movements.length > 0
      ? [
          added('entry', {
            ...transferOf(workbench, movements, `cancelled: ${order.seller}`, source),
            order: order.id,
          }),
        ]
      : [];
  const back = refund > 0 ? [changed('order', order, { refund: order.refund + refund })] : [];
  return { label: `cancel the order from ${order.seller}`, diff: joinDiffs(...gone, ...turned, ...back) };
}
