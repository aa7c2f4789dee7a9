import { node } from './lib/run.mjs';

/**
 * Gives every reader thousands of damaged files, from a new seed each time, or from FUZZ_SEED to see one again; and kills a
 * program that writes hundreds of times.
 */
const { FUZZ_CASES = '3000', KILLS = '500', FUZZ_SEED = String(Math.floor(Date.now() / 1000)) } = process.env;
console.log(`seed ${FUZZ_SEED}`);
process.exit(
  await node(
    'vitest',
    ['run', 'src/server/fuzz.test.ts', 'src/server/sigkill.test.ts', '--testTimeout=3600000'],
    {
      env: { FUZZ_CASES, FUZZ_SEED, KILLS },
    },
  ),
);
