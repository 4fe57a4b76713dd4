import { build } from 'esbuild';

/** Bundles the server around the built pages, and its threads, so that they start with `node` alone; packages stay where they are. */
await build({
  entryPoints: { 'keen-spiral': 'src/server/doors/main.ts', pool: 'src/workers/pool.ts' },
  outdir: '.next',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  alias: { '@': './src' },
  logLevel: 'error',
});
