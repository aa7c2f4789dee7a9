import * as z from 'zod';
import { COLOUR_FAMILIES, FINISHES } from '@/core/colour';
import { LIMITS, TABLE } from '@/core/shared/bounds';
import { elementSchema } from '@/core/formats/record-schemas';
import { CONDITIONS } from '@/core/ledger';
import { isWholeText } from '@/core/shared/text';

/** Lots that one bringing-in may unpack, copies counted: what a workspace takes in one action without a pause. */
const MOST_LOTS = 100_000;

const money = z.int().min(0).max(LIMITS.money);
const whole = () => z.string().refine(isWholeText, { message: 'half a character, or a zero byte' });
const name = whole().trim().min(1).max(LIMITS.name);

const lot = z.strictObject({
  element: elementSchema,
  qty: z.int().min(1).max(TABLE.pieces),
  condition: z.enum(CONDITIONS).nullable(),
  zone: whole().max(100),
  extra: z.boolean(),
});

const colours = z.strictObject({
  /** Colours made new for this table. */
  made: z
    .array(
      z.strictObject({
        id: z.string().regex(/^[a-z0-9][a-z0-9-]{0,60}$/),
        name,
        hex: z.string().regex(/^#[0-9a-f]{6}$/i),
        family: z.enum(COLOUR_FAMILIES),
        finish: z.enum(FINISHES),
      }),
    )
    .max(500),
  /** Foreign names matched by hand. */
  matched: z
    .array(
      z.strictObject({ text: whole().min(1).max(LIMITS.name), colour: z.string().min(1).max(LIMITS.id) }),
    )
    .max(500),
});

const memory = z
  .strictObject({ key: whole().max(LIMITS.note), roles: z.array(z.string().max(40)).max(200) })
  .nullable();

const box = z.strictObject({
  setName: name,
  setCode: whole().max(LIMITS.name),
  copies: z.int().min(1).max(50),
  condition: z.enum(['new', 'second-hand']),
  role: z.enum(['base', 'donor']),
  /** Null = not known, 0 = a gift. */
  price: money.nullable(),
  lots: z.array(lot).min(1).max(TABLE.rows),
});

/** A set imported: into a new build or one that is there, one or several boxes, several copies of each. */
export const importBoxesSchema = z.strictObject({
  request: whole().min(1).max(LIMITS.id),
  build: z.union([z.strictObject({ id: z.string().min(1).max(LIMITS.id) }), z.strictObject({ name })]),
  boxes: z
    .array(box)
    .min(1)
    .max(30)
    .refine((boxes) => boxes.reduce((s, b) => s + b.copies * b.lots.length, 0) <= MOST_LOTS, {
      message: `more than ${MOST_LOTS} lots in all copies together`,
    }),
  colours,
  memory,
});
export type ImportBoxes = z.infer<typeof importBoxesSchema>;

export const importStockSchema = z.strictObject({
  request: whole().min(1).max(LIMITS.id),
  tray: name,
  lots: z
    .array(
      z.strictObject({
        element: elementSchema,
        qty: z.int().min(1).max(TABLE.pieces),
        condition: z.enum(CONDITIONS).nullable(),
        tray: whole().max(100),
        place: whole().max(100),
        worth: money.nullable(),
      }),
    )
    .min(1)
    .max(TABLE.rows),
  colours,
  memory,
});
export type ImportStock = z.infer<typeof importStockSchema>;

export const importPricesSchema = z.strictObject({
  request: whole().min(1).max(LIMITS.id),
  prices: z
    .array(
      z.strictObject({ element: elementSchema, newPrice: money.nullable(), usedPrice: money.nullable() }),
    )
    .min(1)
    .max(TABLE.rows),
  colours,
  memory,
});
export type ImportPrices = z.infer<typeof importPricesSchema>;

const year = z.int().min(1900).max(2200).nullable();

export const importRegisterSchema = z.strictObject({
  request: whole().min(1).max(LIMITS.id),
  made: z
    .array(z.strictObject({ element: elementSchema, from: year, to: year }))
    .min(1)
    .max(TABLE.rows),
  colours,
  memory,
});
export type ImportRegister = z.infer<typeof importRegisterSchema>;
