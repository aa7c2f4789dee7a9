/** The browser that tests, pictures and benchmarks use: Debian's, unless another is named. */
export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
