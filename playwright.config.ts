import { defineConfig } from '@playwright/test';
import path from 'node:path';
import { PORTS } from './e2e/test';
import { CHROMIUM } from './scripts/lib/chromium.mjs';

const dataOf = (port: number): string => path.join(import.meta.dirname, `test-results/data-${port}`);

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/keep-demo.ts',
  // A shared machine may give a tenth of its speed for minutes: time is no part of what these tests say.
  timeout: 180_000,
  expect: { timeout: 60_000 },
  workers: PORTS.length,
  reporter: process.env.CI ? 'line' : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    // What a test holds back or loses on the way must pass by it: kept pages have a test of their own.
    serviceWorkers: 'block',
    // What is not there after a minute does not come, here as above.
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: CHROMIUM,
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
  webServer: PORTS.map((port) => ({
    command: `node scripts/serve-demo.mjs ${port}`,
    env: { EVARN_DATA: dataOf(port), EVARN_OWN_DATA: `${dataOf(port)}-own`, NEXT_TELEMETRY_DISABLED: '1' },
    url: `http://127.0.0.1:${port}`,
    timeout: 180_000,
  })),
});
