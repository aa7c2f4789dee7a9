import { runOptionsSchema } from '../../shared/run-options';
import * as z from '../../shared/zod';
import { CUT } from './bounds';

const name = z.string().min(1).max(200);
const mm = z.number().min(0).max(CUT.mm);
const side = mm.gt(0);
const lab = z.tuple([
  z.number().min(0).max(100),
  z.number().min(-160).max(160),
  z.number().min(-160).max(160),
]);

/** Strips that are wanted, and the fields of sticker sheets that they may come from. Millimetres, Lab under D65. */
export const cutProblemSchema = z.object({
  /** What the blade takes between two strips, and between a strip and what is kept. */
  kerf: z.number().min(0).max(20),
  /** The border of each field from which nothing is taken. */
  margin: z.number().min(0).max(100),
  /** The largest ΔE00 between a strip's colour and the field's that it is cut from. */
  tolerance: z.number().min(0).max(200),
  fields: z.array(z.object({ id: name, w: side, h: side, lab })).max(CUT.fields),
  strips: z
    .array(
      z.object({
        id: name,
        w: side,
        l: side,
        count: z.int().min(0).max(CUT.count),
        lab,
        /** True = all of them come from one field, or stay unmet: what must line up is of one print and one age. */
        oneField: z.boolean().optional(),
      }),
    )
    .max(CUT.strips),
});

/** What is posted to /api/cut. */
export const cutRequestSchema = z.object({
  problem: cutProblemSchema,
  options: runOptionsSchema({ ...CUT, iterations: 1_000_000 }).optional(),
});

const counted = z.int().min(0);

/** A strip of a plan: its corner nearest the field's origin, and whether its length lies along the field's width. */
export const placedStripSchema = z.object({ strip: name, field: name, x: mm, y: mm, along: z.boolean() });

/**
 * Why a strip is not cut: no field has its colour, none of its colour is long enough, the others take the room, or no one field
 * holds all that must come from one.
 */
export const UNMET_WHYS = ['no colour', 'too large', 'no room', 'one field'] as const;

export const cutPlanSchema = z.object({
  placed: z.array(placedStripSchema),
  unmet: z.array(z.object({ strip: name, count: counted, why: z.enum(UNMET_WHYS) })),
  fieldsOpened: counted,
  /** Sum over the strips that are cut. */
  deltaE: z.number().min(0),
  /** The largest rectangle that stays whole in a field that is cut into. */
  kept: z.object({ field: name, x: mm, y: mm, w: mm, h: mm }).nullable(),
  proven: z.boolean(),
  seconds: z.number().min(0),
});

export type CutProblem = z.infer<typeof cutProblemSchema>;
export type CutOptions = NonNullable<z.infer<typeof cutRequestSchema>['options']>;
export type PlacedStrip = z.infer<typeof placedStripSchema>;
export type CutPlan = z.infer<typeof cutPlanSchema>;
export type UnmetWhy = (typeof UNMET_WHYS)[number];
