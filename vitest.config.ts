import { defineConfig } from 'vitest/config';
import path from 'node:path';

const CORE = 'src/core/**/*.test.ts';
// One puts one more record into the registry and two have threads of their own, which no other may see.
const SERVER =
  'src/{app,data,demo,server}/**/!(adding-a-record|late-threads|solver-pool|warm-threads).test.ts';

export default defineConfig({
  resolve: {
    alias: {
      '@': path.join(import.meta.dirname, 'src'),
      'server-only': path.join(import.meta.dirname, 'src/data/testing/server-only.ts'),
    },
  },
  test: {
    // One worker for each processor: nothing else runs meanwhile, and much of the time goes to waiting for files.
    maxWorkers: '100%',
    testTimeout: 240_000,
    hookTimeout: 120_000,
    globalSetup: ['src/server/testing/bundle-threads.ts'],
    setupFiles: ['src/core/testing/seed.ts'],
    projects: [
      // The core keeps nothing between calls, and every test of the server closes the workspace that it opened: their files
      // share one world, in which everything is read once. That takes half the time.
      { extends: true, test: { name: 'core', include: [CORE], isolate: false } },
      { extends: true, test: { name: 'server', include: [SERVER], isolate: false } },
      {
        extends: true,
        test: {
          name: 'around it',
          include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.mjs'],
          exclude: [CORE, SERVER],
          setupFiles: ['src/screens/testing/patience.ts'],
        },
      },
    ],
  },
});
