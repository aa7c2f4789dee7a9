import { defineConfig } from '@playwright/test';
import path from 'node:path';

const PORT = 3791;
export const DATA = path.join(import.meta.dirname, 'test-results/data');

export default defineConfig({
  testDir: 'e2e',
  // A shared machine may give a tenth of its speed for minutes: time is no part of what these tests say.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 1,
  reporter: process.env.CI ? 'line' : 'list',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `rm -rf ${DATA} && node_modules/.bin/tsx scripts/seed.ts && node node_modules/next/dist/bin/next start -H 127.0.0.1 -p ${PORT}`,
    env: { EVARN_DATA: DATA, NEXT_TELEMETRY_DISABLED: '1' },
    url: `http://127.0.0.1:${PORT}`,
    timeout: 180_000,
  },
});
