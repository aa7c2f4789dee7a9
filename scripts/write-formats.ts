import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { modFileSchema } from '../src/core/formats';
import { mismatchAnswerSchema, mismatchRequestSchema } from '../src/core/formats/mismatch-model';
import { layPlanSchema, layRequestSchema } from '../src/core/fit/lay';
import { cutPlanSchema, cutRequestSchema } from '../src/core/stickers/cutting';
import { patchSchema } from '../src/core/patch';
import { planSchema, requestSchema } from '../src/core/sourcing';

/** Writes the published JSON Schemas from the Zod ones that the program itself checks with. */
const write = (name: string, schema: z.ZodType) =>
  writeFileSync(
    `docs/formats/${name}.schema.json`,
    `${JSON.stringify(z.toJSONSchema(schema, { target: 'draft-7' }), null, 2)}\n`,
  );
write('mod-file', modFileSchema);
write('patch', patchSchema);
write('make-up-request', requestSchema);
write('make-up-plan', planSchema);
write('lay-request', layRequestSchema);
write('lay-plan', layPlanSchema);
write('cut-request', cutRequestSchema);
write('cut-plan', cutPlanSchema);
write('mismatch-request', mismatchRequestSchema);
write('mismatch-answer', mismatchAnswerSchema);
