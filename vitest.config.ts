import { defineConfig } from 'vitest/config';
import path from 'node:path';

const CORE = 'src/core/**/*.test.ts';

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
      // The core keeps nothing between calls, so its files share one world: that takes half the time.
      { extends: true, test: { name: 'core', include: [CORE], isolate: false } },
      {
        extends: true,
        test: {
          name: 'around it',
          include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.mjs'],
          exclude: [CORE],
          setupFiles: ['src/screens/testing/patience.ts'],
        },
      },
    ],
  },
});
