import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { node } from './lib/run.mjs';
import { needPort, portOf } from './lib/serve.mjs';

/** Shares the workspace with the home network: for a phone beside the table. Off unless this is what was started. */
const port = portOf();
await needPort(port);
await needPort(Number(process.env.SHARE_PORT ?? port + 3), '0.0.0.0');
await install();
await build();
process.exit(await node('tsx', ['scripts/share.ts', ...process.argv.slice(2)]));
