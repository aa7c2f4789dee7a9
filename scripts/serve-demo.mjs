import fs from 'node:fs';
import { seedInto } from './lib/seeded.mjs';
import { portOf, serve } from './lib/serve.mjs';

/** Serves a demo that begins anew in the folder of EVARN_DATA, with an empty one for one's own work, for the browser's tests. Build first. */
const { EVARN_DATA, EVARN_OWN_DATA } = process.env;
if (EVARN_OWN_DATA) fs.rmSync(EVARN_OWN_DATA, { recursive: true, force: true });
await seedInto(EVARN_DATA);
process.exit(await serve(portOf(process.argv[2])));
