import { z } from '../shared/zod';
import { elementSchema, gradeSchema } from '../formats/record-schemas';
import { LIMITS } from '../shared/bounds';
import { planSchema, type BuyingPlan } from '../sourcing';
import type { EntryId, ModificationId, ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { MarketAnswer, MarketSeller } from './market';
import type { NeedLot } from '../need';
import type { Preferences } from './preferences';

/** How a need was asked to be made up, and what came of it: kept for the build, so that a page that is closed loses nothing. */
export interface SavedPlan {
  readonly preferences: Preferences;
  /** Seconds that a solve may take. */
  readonly seconds: number;
  /** Sellers read from price lists, and the postage that the next one gets, in pence. */
  readonly lists: readonly MarketSeller[];
  readonly listPostage: number;
  readonly asked: AskedPlan | null;
}

/** A question that was put to the solver. */
export interface AskedPlan {
  /** The name of its run: the server keeps what a run had found when its page went away. */
  readonly run: string;
  readonly market: MarketAnswer;
  /** What was needed, and what was posed for it: other shapes may stand in for some. */
  readonly needed: readonly NeedLot[];
  readonly lots: readonly NeedLot[];
  /** Null = not answered yet. */
  readonly plan: BuyingPlan | null;
  /** What the plan's boxes are credited with: it is paid, and comes back as left-over parts. In pence. */
  readonly credit: Minor;
}

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

const preferences = z.strictObject({
  maxParcels: z.int().min(0).max(9999).nullable(),
  used: z.boolean(),
  hiddenAnyColour: z.boolean(),
  boxes: z.boolean(),
  credit: share,
  within: days.nullable(),
  chance: share,
  never: z.array(id).max(2000),
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
const seller = z.strictObject({
  id,
  name,
  place: name,
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
  condition: z.enum(['new', 'second-hand']),
  price: pence,
  copies: pieces,
  seller: name,
  ...post,
  lots: z.array(lot).max(5000),
});
const needLot = z.strictObject({
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

/** A saved buying plan as it is kept. */
export const savedPlanSchema = z.strictObject({
  preferences,
  seconds: z.number().min(1).max(600),
  lists: z.array(seller).max(100),
  listPostage: pence,
  asked: z
    .strictObject({
      run: z.string().min(1).max(LIMITS.id),
      market: z.strictObject({ sellers: z.array(seller).max(2000), boxes: z.array(box).max(1000) }),
      needed: z.array(needLot).max(5000),
      lots: z.array(needLot).max(5000),
      plan: planSchema.nullable(),
      credit: pence,
    })
    .nullable(),
});
type Kept = z.infer<typeof savedPlanSchema>;

/** A buying plan as JSON can hold it: sets and maps as lists. */
export const savePlan = (saved: SavedPlan): unknown => ({
  ...saved,
  preferences: {
    ...saved.preferences,
    never: [...saved.preferences.never],
    prefer: [...saved.preferences.prefer],
    condition: [...saved.preferences.condition],
  },
});

/** A kept buying plan as it was, or undefined when it is not one: of an older program, say. It is asked again then. */
export function readPlan(kept: unknown): SavedPlan | undefined {
  const read = savedPlanSchema.safeParse(kept);
  if (!read.success) return undefined;
  const { preferences: p, ...rest }: Kept = read.data;
  return {
    ...(rest as Omit<SavedPlan, 'preferences'>),
    preferences: {
      ...p,
      never: new Set(p.never),
      prefer: new Set(p.prefer),
      condition: new Map(p.condition),
    },
  };
}
