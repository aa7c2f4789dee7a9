import type { NextConfig } from 'next';

const config: NextConfig = {
  outputFileTracingRoot: import.meta.dirname,
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // The largest upload there is, a backup; every route checks its own, smaller bound.
  experimental: { proxyClientMaxBodySize: 257 * 1024 * 1024 },
};

export default config;
