import path from 'node:path';
import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { needPort, portOf, serve } from './lib/serve.mjs';
import { ROOT } from './lib/run.mjs';

/** Starts Evarn on your own workspace: installs and builds what lacks first. node scripts/start.mjs [port] */
const port = portOf(process.argv[2]);
const EVARN_DATA = path.resolve(ROOT, process.env.EVARN_DATA ?? 'data/workspace');
await needPort(port);
await install();
await build();
console.log(`Evarn is on http://127.0.0.1:${port}. Your data is in ${EVARN_DATA}. Stop it with Ctrl+C.`);
process.exit(await serve(port, { env: { EVARN_DATA } }));
