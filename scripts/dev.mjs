import { node } from './lib/run.mjs';
import { portOf } from './lib/serve.mjs';
import { bundleThreads } from './lib/threads.mjs';

/** The development server: node scripts/dev.mjs [port] */
const port = portOf(process.argv[2]);
await bundleThreads();
process.exit(await node('next', ['dev', '-H', '127.0.0.1', '-p', String(port)]));
