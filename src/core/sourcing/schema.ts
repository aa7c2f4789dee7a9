import { runOptionsSchema } from '../shared/run-options';
import * as z from '../shared/zod';
import { PROBLEM } from '../shared/bounds';
import type { Problem, ProblemId } from './problem';

/** Ids are the asker's own and are told back as they came. */
const id = z.union([z.string().min(1).max(400), z.number()]);
const opaque = z.union([z.string().max(400), z.number()]);
const pence = z.int().min(0).max(1e9);
const pieces = z.int().min(1).max(1e6);

/** A buying plan problem as it comes in: docs/formats/make-up-request.schema.json is written from it. */
export const problemSchema = z.object({
  schema: z.literal('makeup/1'),
  name: z.string().max(400),
  elements: z
    .array(
      z.object({
        id,
        part: opaque,
        colour: opaque,
        grams: z.number().min(0).max(1e6),
      }),
    )
    .min(1)
    .max(PROBLEM.elements),
  lots: z
    .array(z.object({ id, qty: pieces, accept: z.array(id).min(1).max(1000) }))
    .min(1)
    .max(PROBLEM.lots),
  sellers: z
    .array(
      z.object({
        id,
        minOrder: pence,
        postage: z
          .array(z.object({ maxGrams: z.number().min(0).max(1e9), pence }))
          .min(1)
          .max(PROBLEM.bands),
        offers: z
          .array(
            z.object({
              element: id,
              price: pence,
              stock: z.int().min(0).max(1e7),
              minQty: pieces,
              multiple: pieces,
            }),
          )
          .max(50_000),
      }),
    )
    .max(PROBLEM.sellers),
  donors: z
    .array(
      z.object({
        id,
        price: pence,
        maxCopies: z.int().min(0).max(1000),
        yields: z.array(z.object({ element: id, qty: pieces })).max(5000),
      }),
    )
    .max(PROBLEM.donors),
  maxSellers: z.int().min(0).max(PROBLEM.sellers).nullable(),
});

/** What is posted to /api/buying plan. */
export const requestSchema = z.object({
  problem: problemSchema,
  options: runOptionsSchema(PROBLEM).optional(),
});

/** The plan that is given back. */
export const planSchema = z.object({
  schema: z.literal('makeup-plan/1'),
  status: z.enum(['optimal', 'bestSoFar', 'gaveUp']),
  cost: pence,
  floor: pence,
  unmet: z.array(z.object({ lot: id, qty: pieces })),
  buys: z.array(z.object({ seller: id, element: id, qty: pieces })),
  donors: z.array(z.object({ id, copies: pieces })),
  byHand: z.object({
    cheapestEach: pence,
    fewestSellers: pence,
    unmet: z.object({ cheapestEach: z.int().min(0), fewestSellers: z.int().min(0) }).optional(),
  }),
});

/** Where a problem does not hold together though its shape is right: what refers to nothing, or stands twice. */
export type ProblemFault =
  | { readonly fault: 'unknown element'; readonly where: string; readonly id: ProblemId }
  | { readonly fault: 'twice'; readonly where: string; readonly id: ProblemId }
  | { readonly fault: 'bands'; readonly where: string }
  | { readonly fault: 'too many offers'; readonly offers: number }
  /** Lots share so many elements with so many offers that comparing them all would take minutes. */
  | { readonly fault: 'too entangled'; readonly pairs: number }
  | { readonly fault: 'too many pieces'; readonly pieces: number };

/** The first thing in a problem that does not hold together, or undefined. */
export function problemFault(problem: Problem): ProblemFault | undefined {
  const offers = problem.sellers.reduce((s, x) => s + x.offers.length, 0);
  if (offers > PROBLEM.offers) return { fault: 'too many offers', offers };
  const pieces = problem.lots.reduce((n, l) => n + l.qty, 0);
  if (pieces > PROBLEM.pieces) return { fault: 'too many pieces', pieces };
  const pairs = pairsIn(problem);
  if (pairs > PROBLEM.pairs) return { fault: 'too entangled', pairs };
  const elements = new Set<ProblemId>();
  for (const [where, list] of [
    ['elements', problem.elements],
    ['lots', problem.lots],
    ['sellers', problem.sellers],
    ['donors', problem.donors],
  ] as const) {
    const seen = new Set<ProblemId>();
    for (const { id: one } of list) {
      if (seen.has(one)) return { fault: 'twice', where, id: one };
      seen.add(one);
      if (where === 'elements') elements.add(one);
    }
  }
  for (const l of problem.lots)
    for (const e of l.accept)
      if (!elements.has(e)) return { fault: 'unknown element', where: `lot ${l.id}`, id: e };
  for (const s of problem.sellers) {
    const seen = new Set<ProblemId>();
    for (const o of s.offers) {
      if (!elements.has(o.element))
        return { fault: 'unknown element', where: `seller ${s.id}`, id: o.element };
      if (seen.has(o.element)) return { fault: 'twice', where: `offers of seller ${s.id}`, id: o.element };
      seen.add(o.element);
    }
    if (s.postage.some((b, i) => i > 0 && b.maxGrams <= s.postage[i - 1]!.maxGrams))
      return { fault: 'bands', where: `seller ${s.id}` };
  }
  for (const d of problem.donors)
    for (const y of d.yields)
      if (!elements.has(y.element))
        return { fault: 'unknown element', where: `donor ${d.id}`, id: y.element };
  return undefined;
}

/** How many pairs of a lot and an offer that serves it there are: what every step of a search walks over. */
function pairsIn(problem: Problem): number {
  const offered = new Map<ProblemId, number>();
  for (const s of problem.sellers)
    for (const o of s.offers) offered.set(o.element, (offered.get(o.element) ?? 1) + 1);
  return problem.lots.reduce(
    (sum, l) => sum + l.accept.reduce<number>((n, e) => n + (offered.get(e) ?? 1), 0),
    0,
  );
}
