import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  reactCompiler: true,
  // Types are checked once, by `npm run types`, over the tests too.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['pino', '@libsql/client', 'libsql', 'piscina', 'exifr'],
  experimental: { authInterrupts: true, serverActions: { bodySizeLimit: '256kb' } },
  // A drawing on its own, such as a plan sheet, has no page that would name the icon.
  rewrites: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg' }]),
};

export default config;
