import * as z from '../shared/zod';
import { elementSchema, gradeSchema } from '../formats/record-schemas';
import { LIMITS } from '../shared/bounds';
import { planSchema } from '../sourcing';
import type { BuildId, EntryId, ModificationId, ZoneId } from '../shared/ids';
import { loadPlan, type KeptPlan, type SavedPlan } from './saved-plan';

const name = z.string().max(LIMITS.name);
const id = z
  .string()
  .min(1)
  .max(LIMITS.element + 20);
const pence = z.int().min(0).max(LIMITS.money);
const pieces = z.int().min(0).max(LIMITS.qty);
const share = z.number().min(0).max(1);
const days = z.number().min(0).max(10_000);
const branded = <T>() => z.string().min(1).max(LIMITS.id) as unknown as z.ZodType<T>;

/** Preferences as JSON holds them: sets and maps as lists. */
export const preferencesSchema = z.strictObject({
  maxParcels: z.int().min(0).max(9999).nullable(),
  used: z.boolean(),
  hiddenAnyColour: z.boolean(),
  boxes: z.boolean(),
  credit: share,
  within: days.nullable(),
  chance: share,
  never: z.array(id).max(2000),
  // Plans that were kept before boxes could be left out have none.
  leaveOut: z.preprocess((v) => v ?? [], z.array(id).max(1000)),
  prefer: z.array(id).max(2000),
  favour: pence,
  genuine: z.boolean(),
  condition: z.array(z.tuple([id, z.enum(['new', 'used'])])).max(5000),
  shapes: z.boolean(),
});
const post = { days, spread: days, late: share };
const lot = z.strictObject({ element: elementSchema, qty: pieces });
const offer = z.strictObject({
  element: elementSchema,
  grade: gradeSchema,
  price: pence,
  stock: pieces,
  minQty: pieces,
  multiple: pieces,
});
/** A seller and what he has, as a price list or the market gives it. */
export const sellerSchema = z.strictObject({
  id,
  name,
  place: name,
  own: z.boolean().optional(),
  genuine: z.boolean(),
  minOrder: pence,
  postage: z.array(z.strictObject({ maxGrams: z.number().min(0), pence })).max(50),
  ...post,
  short: share,
  wrong: share,
  offers: z.array(offer).max(50_000),
});
const box = z.strictObject({
  code: name,
  name,
  own: z.boolean().optional(),
  condition: z.enum(['new', 'second-hand']),
  price: pence,
  copies: pieces,
  seller: name,
  ...post,
  lots: z.array(lot).max(5000),
});
/** A kind that is needed, and the entries that call for it. */
export const needLotSchema = z.strictObject({
  element: elementSchema,
  qty: pieces,
  hidden: z.boolean(),
  sources: z
    .array(
      z.strictObject({
        entry: branded<EntryId>(),
        movement: z.int().min(0).nullable(),
        qty: pieces,
        per: pieces.optional(),
        modification: branded<ModificationId>().nullable(),
        zone: branded<ZoneId>().nullable(),
      }),
    )
    .max(LIMITS.movements),
});

const seconds = z.number().min(1).max(600);
export const listsSchema = z.array(sellerSchema).max(100);
export const runSchema = z.string().regex(/^[\w-]{1,80}$/);

/** A question and its answer, with the part of the market that shows it. */
export const askedPlanSchema = z.strictObject({
  run: runSchema,
  market: z.strictObject({ sellers: z.array(sellerSchema).max(2000), boxes: z.array(box).max(1000) }),
  needed: z.array(needLotSchema).max(5000),
  lots: z.array(needLotSchema).max(5000),
  plan: planSchema.nullable(),
  credit: pence,
});

/** A saved buying plan as it is kept. */
export const savedPlanSchema = z.strictObject({
  preferences: preferencesSchema,
  seconds,
  lists: listsSchema,
  listPostage: pence,
  asked: askedPlanSchema.nullable(),
});

/** What a page changes of it: what it wishes, its price lists, or that the plan was ordered. The plan itself is the server's. */
export const savedPlanChangeSchema = z.strictObject({
  preferences: preferencesSchema.optional(),
  seconds: seconds.optional(),
  lists: listsSchema.optional(),
  listPostage: pence.optional(),
  asked: z.null().optional(),
});
export type SavedPlanChange = z.infer<typeof savedPlanChangeSchema>;

/** What is put to the server: what is needed and how it is to be met. The market is asked there, and stays there. */
export const planRequestSchema = z.strictObject({
  run: runSchema,
  /** The build it is kept for; null = for none. */
  build: branded<BuildId>().nullable(),
  lots: z.array(needLotSchema).max(5000),
  preferences: preferencesSchema,
  lists: listsSchema,
  seconds,
  /** A run whose market is to be used again, where it is still known. */
  like: runSchema.nullable(),
});

/** What is put to the server so that a plan says why it is as it is: the plan, on the market of its run. */
export const reasonsRequestSchema = z.strictObject({
  run: runSchema,
  /** The run whose market the plan was made on. */
  like: runSchema,
  lots: z.array(needLotSchema).max(5000),
  preferences: preferencesSchema,
  plan: planSchema,
  /** Seconds for each question. */
  seconds,
});

/** Takes the better plan that was found while a run's plan was asked why it is as it is. */
export const takeBetterSchema = z.strictObject({
  run: runSchema,
  build: branded<BuildId>().nullable(),
});

/** A kept buying plan as it was, or undefined when it is not one: of an older program, say. It is asked again then. */
export function readPlan(kept: unknown): SavedPlan | undefined {
  const read = savedPlanSchema.safeParse(kept);
  return read.success ? loadPlan(read.data as KeptPlan) : undefined;
}
