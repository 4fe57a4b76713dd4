import fontkit from '@pdf-lib/fontkit';
import { LineCapStyle, PDFDocument, rgb, type PDFFont } from 'pdf-lib';
import { FILLS, MM_PER_PT, type FaceId, type Sheet, type TextMark } from '@/core/sheet/mark';
import { fontFiles, runsOf, runWidthPt } from './fonts';

const INK = rgb(0, 0, 0);
/** A colour of six digits. */
const tone = (hex: string) => {
  const part = (at: number) => parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
};
const pt = (mm: number) => mm / MM_PER_PT;

/** Where a text begins, from its end or middle where it is aligned so. */
const startPt = ({ xMm, align }: TextMark, widthPt: number) =>
  pt(xMm) - (align === 'end' ? widthPt : align === 'middle' ? widthPt / 2 : 0);

/** A sheet as a PDF of one page. Fonts are embedded whole; only those that are drawn with. */
export async function sheetPdf(sheet: Sheet, madeAtMs: number): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(sheet.title);
  document.setCreator('Keen Spiral');
  document.setProducer('Keen Spiral');
  document.setCreationDate(new Date(madeAtMs));
  document.setModificationDate(new Date(madeAtMs));
  const embedded = new Map<string, PDFFont>();
  const fontOf = async (face: FaceId, file: number) => {
    const key = `${face}/${file}`;
    const known = embedded.get(key);
    if (known) return known;
    const font = await document.embedFont(fontFiles()[face][file]!.bytes, { subset: true });
    embedded.set(key, font);
    return font;
  };
  const page = document.addPage([pt(sheet.widthMm), pt(sheet.heightMm)]);
  const y = (mm: number) => pt(sheet.heightMm - mm);
  for (const mark of sheet.marks) {
    if (mark.kind === 'path') {
      page.drawSvgPath(mark.d, {
        x: pt(mark.xMm),
        y: y(mark.yMm),
        scale: pt(mark.scale),
        ...(mark.fill === 'none' ? {} : { color: tone(FILLS[mark.fill]) }),
        ...(mark.strokeMm > 0
          ? {
              borderColor: tone(FILLS[mark.line ?? 'ink']),
              borderWidth: pt(mark.strokeMm) / pt(mark.scale),
              ...(mark.line ? { borderLineCap: LineCapStyle.Round } : {}),
            }
          : {}),
      });
      continue;
    }
    const runs = runsOf(mark.text, mark.face);
    const widths = runs.map((run) => runWidthPt(run, mark.sizePt, mark.face));
    let x = startPt(
      mark,
      widths.reduce((sum, width) => sum + width, 0),
    );
    for (const [i, run] of runs.entries()) {
      page.drawText(run.text, {
        x,
        y: y(mark.yMm),
        size: mark.sizePt,
        font: await fontOf(mark.face, run.file),
        color: INK,
      });
      x += widths[i]!;
    }
  }
  return document.save();
}
