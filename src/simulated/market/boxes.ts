import { grade, type PriceOf } from '@/core/ledger';
import { seededRandom } from '@/core/shared/random';
import type { MarketBox } from '@/core/market';
import { hash } from './hash';
import { makeSellers } from './sellers';

/** An official set that may be for sale whole. */
export interface SetForSale {
  readonly code: string;
  readonly name: string;
  readonly year: number;
  readonly lots: MarketBox['lots'];
}

/** A box costs this share of what its parts cost singly: nobody sells one piece by piece at once. */
const SHARE = { new: 0.74, 'second-hand': 0.78 } as const;
/** Copies for sale. New ones are shop stock; second-hand ones turn up one by one. */
const COPIES = { new: 6, 'second-hand': 4 } as const;
/** Years for which a set is sold new; some stay in a shop for longer. */
const SOLD_NEW = 3;
const OLD_STOCK = 0.3;

/** Whole sets on the market: every one second-hand, and new those that are young or have lain in a shop. */
export function boxesOf(
  sets: readonly SetForSale[],
  priceOf: PriceOf,
  year: number,
  market: { readonly seed: number; readonly sellers: number },
): MarketBox[] {
  const sellers = makeSellers(market.seed, market.sellers);
  return sets.flatMap((set) =>
    (['second-hand', 'new'] as const).flatMap((condition): MarketBox[] => {
      const random = seededRandom(hash(`box ${market.seed} ${set.code} ${condition}`));
      const inShop = random() < OLD_STOCK;
      const { seller } = sellers[Math.floor(random() * sellers.length)]!;
      if (condition === 'new' && !inShop && year - set.year > SOLD_NEW) return [];
      const g = grade(condition === 'new' ? 'new' : 'used');
      const worth = set.lots.reduce((sum, l) => sum + l.qty * (priceOf(l.element, g) ?? 0), 0);
      return [
        {
          code: set.code,
          name: set.name,
          condition,
          price: Math.max(100, Math.round(worth * SHARE[condition])),
          copies: COPIES[condition],
          seller: seller.name,
          days: seller.days,
          spread: seller.spread,
          late: seller.late,
          lots: set.lots,
        },
      ];
    }),
  );
}
