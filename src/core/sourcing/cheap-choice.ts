import { between, type Random } from '../shared/random';
import type { ChoiceCost } from './choice-cost';
import type { SellerCover } from './seller-cover';

/** How much dearer than the present one a choice may be at first and at last, as shares of what it costs. */
const WARM = 0.02;
const COLD = 0.0005;
/** Exchanges that are drawn for each that lacks no more; where there are fewer there is hardly another choice. */
const DRAWS = 60;

/**
 * Sellers that have as much as those the cover is begun with and cost less, by the estimate: one is exchanged at a time,
 * and dearer ones are taken less and less (simulated annealing, Kirkpatrick, Gelatt and Vecchi 1983). Of a large problem
 * there are far too many choices with equally much to fill each with its lots.
 *
 * @param looks  how many choices are estimated
 * @example
 * cover.begin(sellers);
 * cheapChoice(cover, new ChoiceCost(cover.c), seededRandom(1), 2000); // as many sellers
 */
export function cheapChoice(cover: SellerCover, cost: ChoiceCost, random: Random, looks: number): number[] {
  const { chosen, lacking: most, c } = cover;
  let present = cost.of(chosen);
  let best = { chosen: [...chosen], cost: present };
  const [warm, cold] = [WARM * present, COLD * present];
  let looked = 0;
  for (let draw = 0; looked < looks && draw < looks * DRAWS && chosen.length > 0; draw++) {
    const at = between(random, 0, chosen.length - 1);
    const other = between(random, 0, c.sellers - 1);
    if (chosen.includes(other)) continue;
    const before = chosen[at]!;
    cover.remove(at);
    if (cover.lacking - cover.gainOf(other) > most) {
      cover.add(before);
      continue;
    }
    cover.add(other);
    looked++;
    const now = cost.of(chosen);
    const temperature = warm * Math.pow(cold / warm, looked / looks);
    if (now <= present || random() < Math.exp((present - now) / temperature)) {
      present = now;
      if (now < best.cost) best = { chosen: [...chosen], cost: now };
    } else {
      cover.remove(chosen.length - 1);
      cover.add(before);
    }
  }
  return best.chosen;
}
