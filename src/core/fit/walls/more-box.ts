import { shippedAccount } from '../../ledger';
import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import type { CopyId } from '../../shared/ids';
import type { Minor } from '../../shared/money';
import type { Workbench } from '../../workbench';
import { laidCost } from './laid-cost';

/** One more box of a set that is in this build already: how many of the walls' pieces it would save buying. */
export interface MoreBox {
  readonly setName: string;
  /** The lowest price that is known of it; null = none is. */
  readonly price: Minor | null;
  /** What the walls cost less with it, and what they would still cost. */
  readonly less: Minor;
  readonly costs: Minor;
  /** Pieces of the box that lie in the walls, and pieces in it. */
  readonly used: number;
  readonly pieces: number;
  readonly guessed: boolean;
}

/**
 * What one more box would do for walls that must be bought for: of each set that is in the build, at the lowest price of
 * one's own offers, or else at what was paid for it. What saves most, its price counted, first; a box without a price last.
 */
export function moreBoxes(workbench: Workbench, job: WallJob): MoreBox[] {
  const now = laidCost(workbench, job);
  if (!now || now.money === 0) return [];
  return setsOf(workbench)
    .flatMap(({ setName, price, lots }): MoreBox[] => {
      const then = laidCost(workbench, job, lots);
      if (!then || then.money >= now.money || then.joints > now.joints || then.unfilled > now.unfilled)
        return [];
      const laid = then.taken;
      const used = [...laid].reduce((s, [e, n]) => s + Math.min(lots.get(e) ?? 0, n), 0);
      const pieces = [...lots.values()].reduce((s, n) => s + n, 0);
      const less = now.money - then.money;
      return [
        { setName, price, less, costs: then.money, used, pieces, guessed: now.guessed || then.guessed },
      ];
    })
    .sort((a, b) => b.less - (b.price ?? Infinity) - (a.less - (a.price ?? Infinity)) || b.less - a.less);
}

/** The sets of a build with what a box of each holds, and the lowest price that is known of it. */
function setsOf(workbench: Workbench) {
  const sets = new Map<string, { setName: string; price: Minor | null; lots: Map<ElementKey, number> }>();
  const offers = [...workbench.records.boxOffer.values()];
  for (const c of workbench.records.copy.values()) {
    if (c.build !== workbench.build) continue;
    const key = c.setCode || c.setName;
    const offered = offers.filter((o) => o.code === c.setCode).map((o) => o.price);
    const price = offered.length > 0 ? Math.min(...offered) : c.price || null;
    const known = sets.get(key);
    if (known) {
      if (price !== null && (known.price === null || price < known.price)) known.price = price;
      continue;
    }
    sets.set(key, { setName: c.setName, price, lots: shippedLots(workbench, c.id) });
  }
  return [...sets.values()];
}

/** All that came out of a box, on the model or still lying in it. */
function shippedLots(workbench: Workbench, copy: CopyId): Map<ElementKey, number> {
  const box = shippedAccount(copy);
  const lots = new Map<ElementKey, number>();
  for (const e of workbench.entries)
    for (const m of e.movements) if (m.from === box) lots.set(m.element, (lots.get(m.element) ?? 0) + m.qty);
  return lots;
}
