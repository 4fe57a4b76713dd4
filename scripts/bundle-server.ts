import { build } from 'esbuild';

/** Bundles the server around the built pages, so that it starts with `node` alone; packages stay where they are. */
await build({
  entryPoints: ['src/server/doors/main.ts'],
  outfile: '.next/keen-spiral.mjs',
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  alias: { '@': './src' },
  logLevel: 'error',
});
