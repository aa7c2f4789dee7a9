import fs from 'node:fs';
import path from 'node:path';
import { node, orEnd, ROOT } from './run.mjs';

/** Where the demo lies as it is seeded: seeding takes a while, and is done once for a run of the browser's tests. */
const SEEDED = path.join(ROOT, 'test-results/seeded');

/** Puts the demo, as it is seeded, into a folder in place of what is there. */
export async function seedInto(folder) {
  if (!fs.existsSync(SEEDED)) {
    const making = `${SEEDED}-${process.pid}`;
    fs.rmSync(making, { recursive: true, force: true });
    orEnd(await node('tsx', ['scripts/seed.ts'], { env: { EVARN_DATA: making } }));
    // Another server may have been as far first: theirs is the same.
    if (!fs.existsSync(SEEDED)) fs.renameSync(making, SEEDED);
  }
  fs.rmSync(folder, { recursive: true, force: true });
  fs.cpSync(SEEDED, folder, { recursive: true });
}
