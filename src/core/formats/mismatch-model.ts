import * as z from '../shared/zod';
import { LIMITS, TABLE } from '../shared/bounds';

/** A model whose colours are to be judged, as it comes in: docs/formats/mismatch-request.schema.json is written from it. */
export const mismatchRequestSchema = z.object({
  model: z.object({
    zones: z
      .array(
        z.object({
          name: z.string().max(LIMITS.name),
          lots: z
            .array(
              z.object({
                part: z.string().trim().min(1).max(TABLE.name),
                colour: z.string().trim().min(1).max(LIMITS.name),
                qty: z.int().min(1).max(TABLE.pieces),
              }),
            )
            .max(10_000),
        }),
      )
      .max(500),
  }),
});

/** What is answered, the surest first: docs/formats/mismatch-answer.schema.json. */
export const mismatchAnswerSchema = z.object({
  mismatches: z.array(
    z.object({
      zone: z.string(),
      part: z.string(),
      colour: z.string(),
      qty: z.int().min(1),
      to: z.string(),
      kind: z.enum(['near', 'stripe', 'mirror', 'off']),
      sure: z.number().min(0).max(1),
    }),
  ),
});
