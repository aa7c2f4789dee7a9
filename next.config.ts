import type { NextConfig } from 'next';

const config: NextConfig = {
  outputFileTracingRoot: import.meta.dirname,
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Types have a step of their own in `npm test`; the demo need not wait for them.
  typescript: { ignoreBuildErrors: true },
  // The largest upload there is, a backup; every route checks its own, smaller bound.
  experimental: { proxyClientMaxBodySize: 257 * 1024 * 1024 },
};

export default config;
