import * as z from './zod';

/** How long a search may take, and how it can be repeated. */
export const runOptionsSchema = (most: { readonly seconds: number; readonly iterations: number }) =>
  z.object({
    /** How long it may take; 10 when left out. */
    seconds: z.number().min(0.05).max(most.seconds).optional(),
    seed: z
      .int()
      .min(0)
      .max(2 ** 31)
      .optional(),
    /** With it the search runs so many steps instead of seconds: the same plan every time. */
    iterations: z.int().min(1).max(most.iterations).optional(),
  });
