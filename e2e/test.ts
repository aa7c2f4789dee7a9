import { test as base } from '@playwright/test';
import fs from 'node:fs';

export { expect, type Locator, type Page } from '@playwright/test';

/** The tests' servers. The port after each is that of one's own workspace, which a test starts from the demo. */
export const PORTS = [3791, 3793];

/** Servers that a test starts by itself: none of these may be one of the above, or follow one. */
export const OWN_PORTS = { restart: 3795, second: 3796, share: 3797, gate: 3798 } as const;

/** Where the demo lies as it was before the first test. */
export const demoOf = (port: number): string => `test-results/demo-${port}.evarn`;

const portOf = (parallelIndex: number): number => PORTS[parallelIndex % PORTS.length]!;

/** The file whose tests this worker is running. */
let running: string | null = null;

/**
 * A test against the server of its worker: each has a demo of its own, so that no two undo each other's work. A file's
 * tests begin from the demo as it was seeded, whichever files ran before it: which these are depends on the load.
 */
export const test = base.extend<{ demo: void }>({
  baseURL: async ({}, give, info) => {
    await give(`http://127.0.0.1:${portOf(info.parallelIndex)}`);
  },
  demo: [
    async ({}, give, info) => {
      if (running !== info.file) {
        running = info.file;
        const port = portOf(info.parallelIndex);
        const put = await fetch(`http://127.0.0.1:${port}/api/restore`, {
          method: 'POST',
          body: fs.readFileSync(demoOf(port)),
        });
        if (!put.ok) throw new Error(`the demo was not put back: ${put.status} ${await put.text()}`);
      }
      await give();
    },
    { auto: true, timeout: 120_000 },
  ],
});
