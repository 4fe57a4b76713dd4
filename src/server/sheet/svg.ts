import { FILLS, MM_PER_PT, type FaceId, type Sheet } from '@/core/sheet/mark';
import { fontFiles, runsOf } from './fonts';

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (letter) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[letter]!);
const mm = (value: number) => String(Math.round(value * 1000) / 1000);

/** Font files that a sheet is written with, as they are named in it. */
function usedFonts(sheet: Sheet): Map<string, Buffer> {
  const used = new Map<string, Buffer>();
  for (const mark of sheet.marks) {
    if (mark.kind !== 'text') continue;
    for (const { file } of runsOf(mark.text, mark.face))
      used.set(`${mark.face}-${file}`, fontFiles()[mark.face][file]!.bytes);
  }
  return used;
}

const isWoff = (bytes: Buffer) => bytes.toString('latin1', 0, 4) === 'wOFF';
const family = (face: FaceId) =>
  fontFiles()
    [face].map((_, file) => `${face}-${file}`)
    .join(',');

/** A sheet as an SVG that stands alone: its fonts are inside. */
export function sheetSvg(sheet: Sheet): string {
  const fonts = [...usedFonts(sheet)].map(
    ([name, bytes]) =>
      `@font-face{font-family:${name};src:url(data:font/${isWoff(bytes) ? 'woff' : 'ttf'};base64,${bytes.toString('base64')})}`,
  );
  const marks = sheet.marks.map((mark) => {
    if (mark.kind === 'path') {
      const fill = mark.fill === 'none' ? 'none' : FILLS[mark.fill];
      const ends = mark.line ? ' stroke-linecap="round" stroke-linejoin="round"' : '';
      const stroke =
        mark.strokeMm > 0
          ? ` stroke="${FILLS[mark.line ?? 'ink']}" stroke-width="${mm(mark.strokeMm / mark.scale)}"${ends}`
          : '';
      return `<path transform="translate(${mm(mark.xMm)} ${mm(mark.yMm)}) scale(${mm(mark.scale)})" d="${mark.d}" fill="${fill}"${stroke}/>`;
    }
    return `<text x="${mm(mark.xMm)}" y="${mm(mark.yMm)}" font-family="${family(mark.face)}" font-size="${mm(mark.sizePt * MM_PER_PT)}" text-anchor="${mark.align}">${escaped(mark.text)}</text>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(sheet.widthMm)}mm" height="${mm(sheet.heightMm)}mm" viewBox="0 0 ${mm(sheet.widthMm)} ${mm(sheet.heightMm)}">`,
    `<title>${escaped(sheet.title)}</title>`,
    `<style>${fonts.join('')}</style>`,
    '<rect width="100%" height="100%" fill="#fff"/>',
    ...marks,
    '</svg>',
  ].join('\n');
}
