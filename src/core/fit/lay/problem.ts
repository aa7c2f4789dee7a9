import { runOptionsSchema } from '../../shared/run-options';
import * as z from '../../shared/zod';
import { LAY } from './bounds';

const name = z.string().min(1).max(200);
const supply = {
  id: name,
  colour: name,
  stock: z.int().min(0).max(1e6),
  /** What one more costs, in minor units; null = not for sale. */
  price: z.int().min(0).max(1e7).nullable(),
  /** How many can be bought. */
  limit: z.int().min(0).max(1e6),
};
const end = z.enum(['left', 'right']);
const place = z.int().min(0).max(LAY.length);
const prefer = z.enum(['joints', 'money']).optional();

/**
 * Walls of courses of one height, one stud thick. Beyond what is asked of the service, Evarn's own walls may be two studs
 * thick, of parts one or two deep, and have areas of another colour than their course: the last that holds a place decides.
 */
export const wallsSchema = z.object({
  kind: z.literal('walls'),
  walls: z
    .array(z.object({ id: name, length: z.int().min(1).max(LAY.length) }))
    .min(1)
    .max(LAY.walls),
  corners: z.array(z.object({ a: name, aEnd: end, b: name, bEnd: end })).max(LAY.walls * 2),
  courses: z
    .array(
      z.object({
        colour: name,
        /** Of a wall two studs thick: the colour that may also lie in its inner row, away from corners. */
        inside: name.optional(),
      }),
    )
    .min(1)
    .max(LAY.courses),
  openings: z
    .array(z.object({ wall: name, from: place, width: place, bottom: place, courses: place }))
    .max(2000),
  parts: z
    .array(
      z.object({
        ...supply,
        length: z.int().min(1).max(64),
        deep: z.int().min(1).max(2).optional(),
        /** A slope has a front: it never lies across. */ onlyAlong: z.boolean().optional(),
        /** An arch stands on its two ends: neither lies over an opening. */ feet: z.boolean().optional(),
      }),
    )
    .max(LAY.parts),
  thick: z.int().min(1).max(2).optional(),
  areas: z
    .array(z.object({ wall: name, from: place, width: place, bottom: place, courses: place, colour: name }))
    .max(2000)
    .optional(),
  prefer,
});

const rect = { x: z.int().min(0).max(LAY.side), y: z.int().min(0).max(LAY.side), w: place, d: place };

/** A floor of parts one layer high. */
export const floorSchema = z.object({
  kind: z.literal('floor'),
  width: z.int().min(1).max(LAY.side),
  depth: z.int().min(1).max(LAY.side),
  keepOut: z.array(z.object(rect)).max(2000),
  areas: z.array(z.object({ ...rect, colours: z.array(name).max(60) })).max(500),
  avoidCrosses: z.boolean(),
  /** Pieces of the layer below: a seam over one of theirs counts as a cross does. */
  under: z.array(z.object(rect)).max(LAY.cells).optional(),
  parts: z
    .array(z.object({ ...supply, w: z.int().min(1).max(64), d: z.int().min(1).max(64) }))
    .max(LAY.parts),
  prefer,
});

export const layProblemSchema = z.discriminatedUnion('kind', [wallsSchema, floorSchema]);

/** What is posted to /api/lay. */
export const layRequestSchema = z.object({
  problem: layProblemSchema,
  options: runOptionsSchema({ ...LAY, iterations: 1_000_000 }).optional(),
});

export type WallsProblem = z.infer<typeof wallsSchema>;
export type FloorProblem = z.infer<typeof floorSchema>;
export type LayProblem = z.infer<typeof layProblemSchema>;
export type LayOptions = NonNullable<z.infer<typeof layRequestSchema>['options']>;

/** A piece of a plan: in a course of a wall, or on a floor, as it is drawn or turned by a quarter. */
export type LaidPiece =
  | {
      readonly part: string;
      readonly wall: string;
      readonly course: number;
      readonly at: number;
      /** In a wall two studs thick: which row its front edge lies in, 0 = the outside, and whether it lies across the wall. */
      readonly row?: number | undefined;
      readonly across?: boolean | undefined;
    }
  | { readonly part: string; readonly x: number; readonly y: number; readonly turned: boolean };

const counted = z.int().min(0);

/** A plan as it is answered. */
export const layPlanSchema = z.object({
  pieces: z.array(
    z.union([
      z.object({
        part: name,
        wall: name,
        course: counted,
        at: counted,
        row: counted.optional(),
        across: z.boolean().optional(),
      }),
      z.object({ part: name, x: counted, y: counted, turned: z.boolean() }),
    ]),
  ),
  unfilled: counted,
  joints: counted,
  money: counted,
  bought: z.record(z.string(), counted),
  floor: z.object({ money: counted }).optional(),
  proven: z.boolean(),
  seconds: z.number().min(0),
});

/** A plan with what it comes to. */
export interface LayPlan {
  readonly pieces: readonly LaidPiece[];
  readonly unfilled: number;
  /** Joints over joints in walls, crosses on floors. */
  readonly joints: number;
  readonly money: number;
  readonly bought: Readonly<Record<string, number>>;
  /** The proven least money at that many unfilled places and joints; left out while none is known. */
  readonly floor?: { readonly money: number };
  readonly proven: boolean;
  readonly seconds: number;
}
