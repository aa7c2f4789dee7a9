import { test as base } from '@playwright/test';

export { expect, type Locator, type Page } from '@playwright/test';

/** The first of the tests' servers; the second has the port after next, since the restart's own is between them. */
export const PORTS = [3791, 3793];

/** A test against the server of its worker: each has a demo of its own, so that no two undo each other's work. */
export const test = base.extend({
  baseURL: async ({}, give, info) => {
    await give(`http://127.0.0.1:${PORTS[info.parallelIndex % PORTS.length]}`);
  },
});
