import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fontkit, { type Font } from '@pdf-lib/fontkit';
import { FACES, MM_PER_PT, type FaceId, type Measure } from '@/core/sheet/mark';

/** Files of each face, first choice first: a subset knows only its own letters, and the last knows most. */
const FILES: Readonly<Record<FaceId, readonly string[]>> = {
  text: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  ],
  bold: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
  ],
  heading: [
    '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff',
    '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-ext-700-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
  ],
};

/** One font file, read once. */
export interface FontFile {
  readonly path: string;
  readonly bytes: Buffer;
  readonly font: Font;
}

let loaded: Readonly<Record<FaceId, readonly FontFile[]>> | null = null;

/** The font files of every face. */
export function fontFiles(): Readonly<Record<FaceId, readonly FontFile[]>> {
  loaded ??= Object.fromEntries(
    FACES.map((face) => [
      face,
      FILES[face].map((path) => {
        const bytes = readFileSync(join(process.cwd(), 'node_modules', path));
        return { path, bytes, font: fontkit.create(bytes) };
      }),
    ]),
  ) as unknown as Record<FaceId, readonly FontFile[]>;
  return loaded;
}

/** A stretch of text that one font file knows every letter of. */
export interface Run {
  readonly file: number;
  readonly text: string;
}

/** A text cut into runs: a letter takes the first file that has it. What none has is set as a question mark. */
export function runsOf(text: string, face: FaceId): Run[] {
  const files = fontFiles()[face];
  const runs: Run[] = [];
  for (const letter of text.normalize('NFC')) {
    const known = files.findIndex(({ font }) => font.hasGlyphForCodePoint(letter.codePointAt(0)!));
    const file = known < 0 ? 0 : known;
    const shown = known < 0 ? '?' : letter;
    const last = runs.at(-1);
    if (last?.file === file) runs[runs.length - 1] = { file, text: last.text + shown };
    else runs.push({ file, text: shown });
  }
  return runs;
}

const widthPt = ({ font }: FontFile, text: string, sizePt: number) =>
  (font.layout(text).advanceWidth * sizePt) / font.unitsPerEm;

/** How wide a run is set, pt. */
export const runWidthPt = ({ file, text }: Run, sizePt: number, face: FaceId): number =>
  widthPt(fontFiles()[face][file]!, text, sizePt);

const widths = new Map<string, number>();
/** Widths that are kept: those of a few sheets. */
const MOST_WIDTHS = 20_000;

/** Measures with the fonts that are drawn with. A sheet tries its words in several sizes: their width scales. */
export const measure: Measure = (text, sizePt, face) => {
  const key = `${face}/${text}`;
  let perPt = widths.get(key);
  if (perPt === undefined) {
    perPt = runsOf(text, face).reduce((sum, run) => sum + runWidthPt(run, 1, face), 0);
    if (widths.size >= MOST_WIDTHS) widths.clear();
    widths.set(key, perPt);
  }
  return MM_PER_PT * sizePt * perPt;
};
