import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  reactCompiler: true,
  // Types are checked once, by `npm run types`, over the tests too.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['pino', '@libsql/client', 'libsql'],
  experimental: { serverActions: { bodySizeLimit: '256kb' } },
};

export default config;
