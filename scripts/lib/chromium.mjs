import fs from 'node:fs';

/** Debian's Chromium that has no window at all, in which pages open sooner, and the whole of it. */
const DEBIANS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** The packages that have them, in the same order. */
export const PACKAGES = ['chromium-headless-shell', 'chromium'];

/** The browser that tests, pictures and benchmarks use: the one that is named, else the first of Debian's that is there. */
export const CHROMIUM = process.env.CHROMIUM ?? DEBIANS.find((file) => fs.existsSync(file)) ?? DEBIANS[1];
