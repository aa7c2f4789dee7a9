import { defineConfig } from 'vitest/config';
import path from 'node:path';

export default defineConfig({
  resolve: {
    alias: {
      '@': path.join(import.meta.dirname, 'src'),
      'server-only': path.join(import.meta.dirname, 'src/data/testing/server-only.ts'),
    },
  },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.mjs'],
    testTimeout: 240_000,
    hookTimeout: 120_000,
    globalSetup: ['src/server/testing/bundle-threads.ts'],
    setupFiles: ['src/core/testing/seed.ts'],
  },
});
