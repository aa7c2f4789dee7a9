import fs from 'node:fs';
import { node, orEnd } from './lib/run.mjs';
import { portOf, serve } from './lib/serve.mjs';

/** Serves a demo that begins anew in the folder of EVARN_DATA, for the browser's tests. Build first. */
fs.rmSync(process.env.EVARN_DATA, { recursive: true, force: true });
orEnd(await node('tsx', ['scripts/seed.ts']));
process.exit(await serve(portOf(process.argv[2])));
