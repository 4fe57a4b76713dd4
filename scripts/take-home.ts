import { mkdirSync } from 'node:fs';
import { build } from 'esbuild';

/** Bundles the page of the take-home diary: one script and one style sheet, for the server to put into every diary. */
mkdirSync('generated', { recursive: true });
await build({
  entryPoints: { 'take-home': 'src/take-home/main.ts' },
  outdir: 'generated',
  bundle: true,
  minify: true,
  charset: 'utf8',
  format: 'iife',
  target: ['es2020', 'chrome90', 'safari14', 'firefox90'],
  alias: { '@': './src' },
  logLevel: 'error',
});
