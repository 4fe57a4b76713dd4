import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DiaryPage } from '@/core/take-home/diary-page';

const read = (...path: string[]) => readFileSync(join(process.cwd(), ...path));
const FONTS = [
  ['Bricolage Grotesque', 700, 'bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff2'],
  ['Atkinson Hyperlegible Next', 400, 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2'],
] as const; // prettier-ignore

/** What every diary has in it: made once, when the program is built. */
let shared: { readonly style: string; readonly script: string } | null = null;
function parts() {
  shared ??= {
    style: [
      ...FONTS.map(
        ([family, weight, path]) =>
          `@font-face{font-family:'${family}';font-weight:${weight};src:url(data:font/woff2;base64,${read('node_modules', '@fontsource', path).toString('base64')})}`,
      ),
      read('generated', 'take-home.css').toString('utf8'),
    ].join('\n'),
    // A script ends where its end is written, even within a text.
    script: read('generated', 'take-home.js').toString('utf8').replaceAll('</script', '<\\/script'),
  };
  return shared;
}

const escaped = (words: string) => words.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** Nothing is fetched, and nothing can be: no address is allowed but what stands in the file. */
const POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'; font-src data:; img-src data: blob:";

/** A take-home diary as one file that opens in any browser, without a connection. */
export function diaryHtml(page: DiaryPage): string {
  const { style, script } = parts();
  const data = JSON.stringify(page).replaceAll('<', '\\u003c');
  return [
    '<!doctype html>',
    '<html lang="en">',
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<meta http-equiv="Content-Security-Policy" content="${POLICY}">`,
    '<meta name="referrer" content="no-referrer">',
    `<title>${escaped(`${page.head}, ${page.style}: diary`)}</title>`,
    `<style>${style}</style>`,
    '</head>',
    '<body>',
    '<main id="page"><noscript>This diary needs scripts to be switched on.</noscript></main>',
    `<script type="application/json" id="diary">${data}</script>`,
    `<script>${script}</script>`,
    '</body>',
    '</html>',
    '',
  ].join('\n');
}
