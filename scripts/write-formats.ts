import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { modFileSchema } from '../src/core/formats';

/** Writes the published JSON Schemas from the Zod ones that the program itself checks with. */
writeFileSync(
  'docs/formats/mod-file.schema.json',
  `${JSON.stringify(z.toJSONSchema(modFileSchema, { target: 'draft-7' }), null, 2)}\n`,
);
