import { daysBetween } from '../market';
import { placeOf } from '../places';
import { needList, type Entry } from '../ledger';
import type { Order } from '../records';
import type { Workbench } from '../workbench';
import { stillToCome } from './still-to-come';

export interface Ready {
  /** Sellers whose parcels have not come. */
  readonly waits: readonly string[];
  /** Pieces that plans want, and that nobody has ordered. */
  readonly unordered: number;
  /** Chance that all of them are there by the day; null = one of them has no day of its own. */
  readonly chance: number | null;
}

/** How many days after its own day each parcel came that has come, below 0 = before it. */
function lateness(workbench: Workbench): number[] {
  return [...workbench.records.order.values()].flatMap((o) => {
    const came = arrivalOf(o, workbench.entries);
    return o.due && came ? [daysBetween(o.due, came)] : [];
  });
}

/** The day on which the last of an order left it; null while something of it is still to come. */
function arrivalOf({ id }: Order, entries: readonly Entry[]): string | null {
  const { open, last } = stillToCome(entries, new Set([id]));
  return open <= 0 && last ? last : null;
}

/**
 * The chance that all open parcels of a build are there by a day. Each parcel's is the share of one's own parcels that were at
 * most so many days later than said as it may be, with one more that was and one that was not (rule of succession: Laplace);
 * parcels come or not by themselves, so chances are multiplied.
 *
 * @example readyChance(workbench, '2026-12-24').chance // 0.75 with one open parcel due before it, and two that came in time
 */
export function readyChance(workbench: Workbench, day: string): Ready {
  const late = lateness(workbench);
  const open = [...workbench.records.order.values()].filter(
    (o) =>
      arrivalOf(o, workbench.entries) === null &&
      workbench.entries.some((e) => e.order === o.id && e.kind === 'order'),
  );
  const chances = open.map(({ due }) => {
    if (!due) return null;
    const room = daysBetween(due, day);
    return (late.filter((d) => d <= room).length + 1) / (late.length + 2);
  });
  const chance = chances.some((c) => c === null) ? null : chances.reduce<number>((p, c) => p * c!, 1);
  const unordered = needList(workbench.planned)
    .filter((n) => placeOf(n.from) === 'outside')
    .reduce((s, n) => s + n.qty, 0);
  return { waits: open.map((o) => o.seller), unordered, chance };
}
