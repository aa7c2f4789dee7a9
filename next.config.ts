import type { NextConfig } from 'next';

const config: NextConfig = {
  outputFileTracingRoot: import.meta.dirname,
  // It reads its own fonts' measures from beside it.
  serverExternalPackages: ['pdfkit'],
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Titles come with the page and not after it, whoever asks: one that comes later is gone for as long whenever a page is
  // read anew.
  htmlLimitedBots: /^/,
  // Types have a step of their own in `npm test`; the demo need not wait for them.
  typescript: { ignoreBuildErrors: true },
  // The largest upload there is, a backup; every route checks its own, smaller bound.
  experimental: { proxyClientMaxBodySize: 257 * 1024 * 1024 },
  // Earlier names go on answering: links that somebody kept, programs that ask, windows opened before an update.
  redirects: () =>
    Promise.resolve([
      { source: '/bring-in', destination: '/import', permanent: true },
      { source: '/stores', destination: '/own-parts', permanent: true },
      { source: '/builds/:build/look-over', destination: '/builds/:build/inspect', permanent: true },
    ]),
  rewrites: () =>
    Promise.resolve([
      { source: '/api/make-up', destination: '/api/buying-plan' },
      { source: '/api/turns', destination: '/api/undo' },
    ]),
};

export default config;
