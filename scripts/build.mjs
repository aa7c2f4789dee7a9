import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';

/** Installs what is missing, and builds what has changed. */
await install();
await build();
