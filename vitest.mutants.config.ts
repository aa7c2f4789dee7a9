import path from 'node:path';
import { defineConfig } from 'vitest/config';

/** Only the core's own tests, and with fewer cases of those that are made at random: a mutant is caught early or not at all. */
export default defineConfig({
  resolve: { alias: { '@': path.resolve(import.meta.dirname, 'src') } },
  test: {
    include: ['src/core/**/*.test.ts'],
    testTimeout: 60_000,
    setupFiles: ['src/core/testing/seed.ts'],
    env: { MUTANTS: 'yes' },
  },
});
