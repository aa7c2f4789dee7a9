import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { PROGRAM } from './lib/run.mjs';

/** `npm run mutants -- FOLDER [FOLDER …]`: which plausible faults in a folder of the core no test would notice. */
const folders = process.argv.slice(2);
const known = fs.readdirSync('src/core').filter((f) => fs.statSync(`src/core/${f}`).isDirectory());
const strange = folders.find((f) => !known.includes(f));
if (folders.length === 0 || strange) {
  console.error(`${strange ? `There is no src/core/${strange}. ` : ''}Name a folder: ${known.join(', ')}.`);
  process.exit(2);
}
for (const folder of folders) {
  console.log(`\n== mutants of src/core/${folder}`);
  const run = spawnSync(process.execPath, [PROGRAM.stryker, 'run'], {
    stdio: 'inherit',
    env: { ...process.env, MUTANTS: folder },
  });
  if (run.status !== 0) process.exitCode = 1;
}
