import type { FlatPicture } from './flat-picture';
import { KIND, type Kind } from './mesh';

/** Lights that lines of hair are drawn in. */
export const LIGHTS = 4;
/** Widths are drawn in steps of this, cm. */
const WIDTH_STEP = 0.06;

/** How finely paths are written: parts of a centimetre. */
export const FINE = 20;
/** Fine enough where a centimetre is drawn as a millimetre. */
export const COARSE = 10;

/** A number as short as it can be written. */
export const short = (value: number) => String(Math.round(value * 100) / 100).replace(/^(-?)0\./, '$1.');

/** Points as the shortest path that says them: relative steps, in parts of a centimetre. */
export function pathOf(points: readonly number[], parts: number, isClosed = false): string {
  let [x, y] = [Math.round(points[0]! * parts), Math.round(points[1]! * parts)];
  let path = `M${short(x / parts)} ${short(y / parts)}`;
  let isFirst = true;
  for (let i = 2; i < points.length; i += 2) {
    const [nx, ny] = [Math.round(points[i]! * parts), Math.round(points[i + 1]! * parts)];
    if (nx === x && ny === y) continue;
    path += `${isFirst ? 'l' : ' '}${short((nx - x) / parts)} ${short((ny - y) / parts)}`;
    isFirst = false;
    [x, y] = [nx, ny];
  }
  return isClosed ? `${path}Z` : path;
}

/** Runs of hair that are drawn alike after each other: one path, cm. */
export interface FlatStroke {
  readonly d: string;
  readonly widthCm: number;
  readonly kind: Kind;
  /** 0 dark … LIGHTS − 1 light. */
  readonly light: number;
  /** The lighter line along the middle of a wide one. */
  readonly isShine: boolean;
}

/** Lines wider than this shine along their middle, as wide as a share of them, cm. */
const [SHINES_CM, SHINE_SHARE] = [0.28, 0.26] as const;

/** Runs no farther from each other than this, seen from the front, are drawn dress by dress, dark before light, cm. */
const BAND_CM = 1.2;

/** The runs of a flat picture as paths, from back to front. */
export function flatStrokes({ runs }: FlatPicture, parts: number): FlatStroke[] {
  const dressed = runs.map(({ kind, light: lit, widthCm: wide, points, depth }) => {
    const light = kind === 'scalp' ? 0 : Math.min(LIGHTS - 1, Math.floor(lit * LIGHTS));
    const widthCm = Math.max(WIDTH_STEP, Math.round(wide / WIDTH_STEP) * WIDTH_STEP);
    return { kind, light, widthCm, points, band: Math.floor(depth / BAND_CM) };
  });
  dressed.sort(
    (a, b) => b.band - a.band || KIND[a.kind] - KIND[b.kind] || a.light - b.light || b.widthCm - a.widthCm,
  );
  const strokes: { d: string; widthCm: number; kind: Kind; light: number; band: number }[] = [];
  for (const { points, ...dress } of dressed) {
    const last = strokes.at(-1);
    const isAlike =
      last?.kind === dress.kind &&
      last.light === dress.light &&
      last.widthCm === dress.widthCm &&
      last.band === dress.band;
    if (isAlike) last.d += pathOf(points, parts);
    else strokes.push({ d: pathOf(points, parts), ...dress });
  }
  return strokes.flatMap(({ d, widthCm, kind, light }): FlatStroke[] => {
    // Loose hair that lies in the dark does not.
    const shines = widthCm > SHINES_CM && kind !== 'scalp' && light > (kind === 'ribbon' ? 1 : 0);
    return [
      { d, widthCm, kind, light, isShine: false },
      ...(shines ? [{ d, widthCm: SHINE_SHARE * widthCm, kind, light, isShine: true }] : []),
    ];
  });
}
