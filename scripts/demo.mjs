import path from 'node:path';
import { build } from './lib/build.mjs';
import { asideDemo } from './lib/demo-aside.mjs';
import { install } from './lib/install.mjs';
import { node, orEnd, ROOT } from './lib/run.mjs';
import { needPort, portOf, serve } from './lib/serve.mjs';

/** Installs, builds, seeds and starts the demo. With --reset its data begins anew: what was there is kept aside. */
const EVARN_DATA = path.resolve(ROOT, process.env.EVARN_DEMO_DATA ?? process.env.EVARN_DATA ?? 'data/demo');
const env = { EVARN_DATA };
await install();
const port = portOf(process.argv.slice(2).find((a) => !a.startsWith('--')));
await needPort(port);
if (process.argv.includes('--reset')) await asideDemo(EVARN_DATA, process.argv.includes('--yes'));
await build();
orEnd(await node('tsx', ['scripts/seed.ts'], { env }));
console.log(`Evarn's demo is on http://127.0.0.1:${port}. Stop it with Ctrl+C.`);
console.log('Your own sets go into a workspace of their own: npm start.');
process.exit(await serve(port, { env }));
