import { z } from 'zod';
import { recordSchema } from '@/core/formats/record-schemas';
import { coverModel, type Cover, type CoverBox, type CoverModel } from '@/core/pool';
import type { MarketBox } from '@/core/market';
import type { Handle } from '@/data/database';
import { solveLinearModel } from './solve-linear-model';
import { boxesForSale } from './market/ask-market';

const SECONDS = 8;

/** What is asked: models, and the boxes that are owned, by code. */
export const coverSchema = z.strictObject({
  models: z.array(recordSchema('poolModel')).min(1).max(12),
  owned: z.array(z.strictObject({ code: z.string().max(200), copies: z.int().min(0).max(1000) })).max(100),
});

export type CoverAnswer = Cover & {
  /** False = the best found in the time, not proven to be the cheapest. */
  readonly proven: boolean;
  readonly boxes: readonly CoverBox[];
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
  const boxes = [...cheapest.values()].map((b): CoverBox => ({
    code: b.code,
    name: b.name,
    price: b.price,
    owned: held.get(b.code) ?? 0,
    most: b.copies,
    lots: b.lots,
  }));
  const { linearModel, decode } = coverModel(boxes, models as readonly CoverModel[]);
  const { values, optimal } = await solveLinearModel(linearModel, SECONDS, signal);
  return values && { ...decode(values), proven: optimal, boxes };
}
