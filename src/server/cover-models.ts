import * as z from 'zod';
import { elementSchema, recordSchema } from '@/core/formats/record-schemas';
import { priceLookup, type Grade } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import { LIMITS } from '@/core/shared/bounds';
import { coverModel, type Cover, type CoverBox, type CoverModel } from '@/core/pool';
import type { MarketBox } from '@/core/market';
import type { Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import { solveLinearModel } from './solve-linear-model';
import { boxesForSale } from './market/ask-market';

const SECONDS = 8;
/** A box is bought for a lacking piece as long as it costs less than so many times its single price, and than this anyway. */
const SINGLE_TIMES = 10;
const LEAST_WORTH = 60;

/** What is asked: models, and the boxes that are owned, by code. */
export const coverSchema = z.strictObject({
  models: z.array(recordSchema('poolModel')).min(1).max(12),
  owned: z
    .array(
      z.strictObject({
        code: z.string().max(200),
        name: z.string().max(200),
        copies: z.int().min(0).max(1000),
        lots: z
          .array(z.strictObject({ element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) }))
          .max(5000),
      }),
    )
    .max(100),
});

export type CoverAnswer = Cover & {
  /** False = the best found in the time, not proven to be the cheapest. */
  readonly proven: boolean;
  readonly boxes: readonly CoverBox[];
  /** Of what is short: kinds that some box holds, but none that would be worth it. */
  readonly notWorth: readonly ElementKey[];
};

/** Which boxes, at least cost, cover some models together. Null when no answer was found in the time. */
export async function coverModels(
  handle: Handle,
  { models, owned }: z.infer<typeof coverSchema>,
  signal?: AbortSignal,
): Promise<CoverAnswer | null> {
  const held = new Map(owned.map((o) => [o.code, o.copies]));
  // One that is to be built from whole may be a used one: of each set the cheapest.
  const cheapest = new Map<string, MarketBox>();
  for (const b of boxesForSale(handle))
    if (b.price < (cheapest.get(b.code)?.price ?? Infinity)) cheapest.set(b.code, b);
  const forSale = [...cheapest.values()].map((b): CoverBox => ({
    code: b.code,
    name: b.name,
    price: b.price,
    owned: held.get(b.code) ?? 0,
    most: b.copies,
    lots: b.lots,
  }));
  // What nobody sells any more is there all the same, with what is in it.
  const kept = owned
    .filter((o) => !cheapest.has(o.code))
    .map(({ code, name, copies, lots }): CoverBox => ({
      code,
      name,
      price: 0,
      owned: copies,
      most: 0,
      lots: lots as CoverBox['lots'],
    }));
  const boxes = [...forSale, ...kept];
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const worth = (e: ElementKey) => Math.max(LEAST_WORTH, SINGLE_TIMES * (priceOf(e, 'new' as Grade) ?? 0));
  const { linearModel, decode } = coverModel(boxes, models as readonly CoverModel[], worth);
  const { values, optimal } = await solveLinearModel(linearModel, SECONDS, signal);
  if (!values) return null;
  const cover = decode(values);
  const sold = new Set(forSale.flatMap((b) => b.lots.map((l) => l.element)));
  const notWorth = cover.short.flatMap((s) => (sold.has(s.element) ? [s.element] : []));
  return { ...cover, proven: optimal, boxes, notWorth };
}
