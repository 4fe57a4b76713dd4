import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['pino', '@libsql/client', 'libsql'],
  experimental: { serverActions: { bodySizeLimit: '256kb' } },
};

export default config;
