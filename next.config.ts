import type { NextConfig } from 'next';

const config: NextConfig = {
  outputFileTracingRoot: import.meta.dirname,
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Twenty megabytes of upload plus the form's own wrapping; the route checks the exact bound itself.
  experimental: { proxyClientMaxBodySize: 21 * 1024 * 1024 },
};

export default config;
