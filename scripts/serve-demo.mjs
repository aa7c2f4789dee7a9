import fs from 'node:fs';
import { node, orEnd } from './lib/run.mjs';
import { portOf, serve } from './lib/serve.mjs';

/** Serves a demo that begins anew in the folder of EVARN_DATA, with an empty one for one's own work, for the browser's tests. Build first. */
for (const folder of [process.env.EVARN_DATA, process.env.EVARN_OWN_DATA])
  if (folder) fs.rmSync(folder, { recursive: true, force: true });
orEnd(await node('tsx', ['scripts/seed.ts']));
process.exit(await serve(portOf(process.argv[2])));
