import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { node } from './lib/run.mjs';

/** Shares the workspace with the home network: for a phone beside the table. Off unless this is what was started. */
await install();
await build();
process.exit(await node('tsx', ['scripts/share.ts', ...process.argv.slice(2)]));
