import { bundleThreads } from './lib/threads.mjs';

await bundleThreads();
