import type { EntryId } from '../shared/ids';
import { splitByLargestRemainder, type Minor } from '../shared/money';
import { accountOwner, placeOf } from './accounts';
import type { Copy, Entry, Order } from './records';

/** True when an entry takes a share of an order's postage or a donor's price. */
export function takesShare(entry: Entry): boolean {
  if (entry.kind === 'order') return true;
  for (const m of entry.movements) if (placeOf(m.from) === 'donor' || placeOf(m.to) === 'donor') return true;
  return false;
}

const value = (qty: number, worth: Minor | null): number => qty * (worth ?? 0);

interface Weight {
  readonly entry: EntryId;
  readonly weight: number;
}

/**
 * Postage and donor prices shared out by largest remainder, per entry, in minor units.
 *
 * - An order's postage goes to its `order` entries, by the money of their lines.
 * - A donor's price goes to the entries that took pieces from it, by the worth of those pieces; what is still in the
 *   box stays with the entry that unpacked it.
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
  for (const [id, order] of orders) share(shares, order.postage, orderWeights(sorted, id));
  for (const [id, copy] of copies)
    if (copy.role === 'donor') share(shares, copy.price, donorWeights(sorted, id));
  return shares;
}

function share(shares: Map<EntryId, Minor>, total: Minor, weights: readonly Weight[]): void {
  if (weights.length === 0) return;
  splitByLargestRemainder(
    total,
    weights.map((w) => w.weight),
  ).forEach((amount, i) => {
    const entry = weights[i]?.entry;
    if (entry) shares.set(entry, (shares.get(entry) ?? 0) + amount);
  });
}

function orderWeights(entries: readonly Entry[], order: string): Weight[] {
  const mine = entries.filter((e) => e.kind === 'order' && e.order === order);
  return mine.map((e) => ({
    entry: e.id,
    weight: e.movements.reduce((s, m) => s + value(m.qty, m.worth), 0),
  }));
}

function donorWeights(entries: readonly Entry[], copy: string): Weight[] {
  const ofCopy = (key: Entry['movements'][number]['from']) =>
    placeOf(key) === 'donor' && accountOwner(key) === copy;
  const weighs = (useWorth: boolean) => (m: Entry['movements'][number]) =>
    useWorth ? value(m.qty, m.worth) : m.qty;
  const given = entries.some((e) => e.movements.some((m) => ofCopy(m.to) && (m.worth ?? 0) > 0));
  const weigh = weighs(given);
  const taken = entries
    .map((e) => ({
      entry: e.id,
      weight: e.movements.reduce((s, m) => s + (ofCopy(m.from) ? weigh(m) : 0), 0),
    }))
    .filter((w) => w.weight > 0);
  const total = entries.reduce(
    (s, e) => s + e.movements.reduce((t, m) => t + (ofCopy(m.to) ? weigh(m) : 0), 0),
    0,
  );
  const unpacked = entries.find((e) => e.movements.some((m) => ofCopy(m.to)));
  if (!unpacked) return taken;
  const rest = Math.max(0, total - taken.reduce((s, w) => s + w.weight, 0));
  return [...taken, { entry: unpacked.id, weight: rest }];
}
