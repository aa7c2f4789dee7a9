import type { CopyId, EntryId } from '../shared/ids';
import { splitByLargestRemainder, type Minor } from '../shared/money';
import { donorAccount, placeOf, shippedAccount, type AccountKey } from '../places';
import type { Copy, Entry, Movement, Order } from '../records';

/** True when an entry takes a share of an order's postage or a donor's price. */
export function takesShare(entry: Entry): boolean {
  if (entry.kind === 'order') return true;
  return entry.movements.some(
    (m) =>
      placeOf(m.from) === 'donor' ||
      placeOf(m.to) === 'donor' ||
      placeOf(m.from) === 'order' ||
      placeOf(m.to) === 'order',
  );
}

const value = (qty: number, worth: Minor | null): number => qty * (worth ?? 0);

interface Weight {
  readonly entry: EntryId;
  readonly weight: number;
}

/**
 * Postage and donor prices shared out by largest remainder, per entry, in minor units.
 *
 * - An order's postage and fees, less what was refunded, go to its `order` entries, by the money of their lines.
 * - A donor's price goes to the entries that took pieces from it, by the worth of those pieces; what is still in the
 *   box, or on its way sealed in it, stays with the entry that brought it.
 *
 * Entries are ranked by id before sharing, so the order they were logged in does not matter. For every order or donor
 * with an entry, the shares add up to its price to the penny. Where nothing has a worth, pieces are the weights.
 */
export function sharedCosts(
  entries: readonly Entry[],
  copies: ReadonlyMap<string, Copy>,
  orders: ReadonlyMap<string, Order>,
): Map<EntryId, Minor> {
  const shares = new Map<EntryId, Minor>();
  const sorted = entries.filter(takesShare).sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const [id, order] of orders) share(shares, aroundParts(order), orderWeights(sorted, id));
  for (const copy of copies.values())
    if (copy.role === 'donor') share(shares, copy.price ?? 0, donorWeights(sorted, copy.id));
  return shares;
}

/**
 * Pieces out of donors of which nobody knows what was paid, per entry: what an entry took from such a box, and with the entry
 * that brought it what is still in it. No sum of what was paid counts them. A gift was paid with nothing, which is known.
 *
 * @example sharedUnknowns([brings, takes2], new Map([[box.id, { ...box, price: null }]])) // takes2 -> 2, brings -> the rest
 */
export function sharedUnknowns(
  entries: readonly Entry[],
  copies: ReadonlyMap<string, Copy>,
): Map<EntryId, number> {
  const pieces = new Map<EntryId, number>();
  const sharing = entries.filter(takesShare);
  for (const copy of copies.values()) {
    if (copy.role !== 'donor' || copy.price !== null) continue;
    for (const { entry, weight } of donorWeights(sharing, copy.id, (m) => m.qty))
      if (weight > 0) pieces.set(entry, (pieces.get(entry) ?? 0) + weight);
  }
  return pieces;
}

/** What an order cost beside its parts: postage and fees, less what the seller gave back. May be below nothing. */
export const aroundParts = (o: Pick<Order, 'postage' | 'fees' | 'refund'>): Minor =>
  o.postage + o.fees - o.refund;

function share(shares: Map<EntryId, Minor>, total: Minor, weights: readonly Weight[]): void {
  if (weights.length === 0) return;
  // More given back than was paid around the parts is shared the same way, and taken off.
  const sign = total < 0 ? -1 : 1;
  splitByLargestRemainder(
    Math.abs(total),
    weights.map((w) => w.weight),
  ).forEach((amount, i) => {
    const entry = weights[i]?.entry;
    if (entry) shares.set(entry, (shares.get(entry) ?? 0) + sign * amount);
  });
}

function orderWeights(entries: readonly Entry[], order: string): Weight[] {
  const mine = entries.filter((e) => e.kind === 'order' && e.order === order);
  return mine.map((e) => ({
    entry: e.id,
    weight: e.movements.reduce((s, m) => s + value(m.qty, m.worth), 0),
  }));
}

/** What entries have of a donor, as `weigh` says: by worth, and by pieces where nothing has any. */
function donorWeights(entries: readonly Entry[], copy: CopyId, weigh?: (m: Movement) => number): Weight[] {
  const box = shippedAccount(copy);
  const brings = (m: Movement) => m.from === box && ['donor', 'order'].includes(placeOf(m.to));
  // Where its pieces are: opened, or sealed at the order it was bought by.
  const held = new Set<AccountKey>([donorAccount(copy)]);
  for (const e of entries) for (const m of e.movements) if (brings(m)) held.add(m.to);
  const takes = (m: Movement) =>
    held.has(m.from) && !held.has(m.to) && !(placeOf(m.from) === 'order' && placeOf(m.to) === 'gone');
  const given = entries.some((e) => e.movements.some((m) => brings(m) && (m.worth ?? 0) > 0));
  const of = weigh ?? ((m: Movement) => (given ? value(m.qty, m.worth) : m.qty));
  const weight = (e: Entry, counts: (m: Movement) => boolean) =>
    e.movements.reduce((s, m) => s + (counts(m) ? of(m) : 0), 0);
  const taken = entries.map((e) => ({ entry: e.id, weight: weight(e, takes) })).filter((w) => w.weight > 0);
  const brought = entries.find((e) => e.movements.some(brings));
  if (!brought) return taken;
  const total = entries.reduce((s, e) => s + weight(e, brings), 0);
  const rest = Math.max(0, total - taken.reduce((s, w) => s + w.weight, 0));
  return [...taken, { entry: brought.id, weight: rest }];
}
