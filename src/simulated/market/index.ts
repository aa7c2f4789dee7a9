import type { Register } from '@/core/mismatch';
import type { PriceOf } from '@/core/ledger';
import type { Random } from '@/core/shared/random';
import type { MarketAnswer, MarketBox, MarketSource } from '@/core/market';
import { askedFor, offersOf } from './offers';
import { makeSellers } from './sellers';

export { boxesOf } from './boxes';
export { fateOf, newsOf } from './post';
export { DEMO_MARKET } from './sellers';

export interface SimulatedMarketOptions {
  readonly seed: number;
  readonly sellers: number;
  readonly priceOf: PriceOf;
  readonly register: Register;
  readonly year: number;
  /** Days since some day: prices and stock move on with them, a few at a time. */
  readonly day?: number;
  readonly boxes: readonly MarketBox[];
  readonly wait: (ms: number) => Promise<void>;
  /** Chance of each answer failing, and what decides it. */
  readonly failing: number;
  readonly random: Random;
}

/** The market could not be reached this time. */
export class MarketFailed extends Error {}

/**
 * The simulated market: sellers of whom each has some of it, at his price, with his postage and his idea of a
 * delivery date. All of it comes out of the seed and of names, so the same question has the same answer; it takes a
 * moment, and fails now and then.
 */
export function simulatedMarket(options: SimulatedMarketOptions): MarketSource {
  const sellers = makeSellers(options.seed, options.sellers);
  return {
    async ask(elements): Promise<MarketAnswer> {
      await options.wait(120 + Math.floor(options.random() * 180));
      if (options.random() < options.failing) throw new MarketFailed('the market did not answer');
      const asked = elements.map((element) => askedFor(element, options)).filter((a) => a !== null);
      return {
        sellers: sellers.map((s) => ({
          ...s.seller,
          offers: asked.flatMap((e) => offersOf(s, e, options)),
        })),
        boxes: options.boxes,
      };
    },
  };
}
