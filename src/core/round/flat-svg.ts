import type { FlatPicture } from './flat-picture';
import { FINE, flatStrokes, LIGHTS, pathOf, short } from './flat-strokes';

/** Colours of a flat picture, as they are written in style sheets. */
export interface FlatTones {
  readonly skin: string;
  readonly skinEdge: string;
  readonly hair: string;
  readonly tool: string;
}

/** A ruler beside a flat picture. */
export interface FlatRuler {
  /** Length of one of its steps, cm. */
  readonly stepCm: number;
  readonly unit: string;
}

/** How much lighter a line shines along its middle. */
const SHINE = 0.22;
const RULER_CM = 1.8;
const GAP_CM = 1.6;
const INK = '#2b1a14';

/** A colour between two, each as #rrggbb. */
function mixed(a: string, b: string, share: number): string {
  const channel = (css: string, k: number) => parseInt(css.slice(1 + 2 * k, 3 + 2 * k), 16);
  return `#${[0, 1, 2]
    .map((k) =>
      Math.round(channel(a, k) + share * (channel(b, k) - channel(a, k)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** What a flat picture takes up with its ruler, for a view box: left, top, width, height, cm. */
export function flatBox({ box }: FlatPicture): readonly [number, number, number, number] {
  const left = Math.min(box.left, -18) - GAP_CM - RULER_CM - 0.5;
  return [left, box.top - 1, box.right + 1 - left, Math.min(box.bottom, 27) + 1 - (box.top - 1)];
}

/**
 * A flat picture as the content of an SVG, in centimetres: head, face, hair from back to front, and a ruler whose nought is
 * the top of the hair, where one is wanted.
 */
export function flatSvg(picture: FlatPicture, tones: FlatTones, ruler: FlatRuler | null): string {
  const { outline, face, scalp, box } = picture;
  let out = `<path d="${pathOf(outline, FINE, true)}" fill="${tones.skin}" stroke="${tones.skinEdge}" stroke-width=".15" stroke-linejoin="round"/>`;
  out += `<path d="${scalp.map((points) => pathOf(points, FINE, true)).join('')}" fill="${tones.hair}"/>`;
  out += `<g fill="none" stroke="${tones.skinEdge}" stroke-width=".18" stroke-linecap="round" stroke-linejoin="round">${face
    .map((line) => `<path d="${pathOf(line, FINE)}"/>`)
    .join('')}</g>`;
  out += '<g fill="none" stroke-linecap="round" stroke-linejoin="round">';
  for (const { d, widthCm, kind, light, isShine } of flatStrokes(picture, FINE)) {
    const lit = 0.05 + (0.34 * light) / (LIGHTS - 1) + (isShine ? SHINE : 0);
    const color =
      kind === 'tool' ? mixed(tones.tool, '#fff4d8', isShine ? 0.5 : 0) : mixed(tones.hair, '#c9a68a', lit);
    out += `<path stroke="${color}" stroke-width="${short(widthCm)}" d="${d}"/>`;
  }
  out += '</g>';
  return ruler ? out + rulerSvg(flatBox(picture)[0] + 0.4, box.top, Math.min(box.bottom, 25), ruler) : out;
}

function rulerSvg(left: number, top: number, bottom: number, { stepCm, unit }: FlatRuler): string {
  const steps = Math.floor((bottom - top) / stepCm);
  let out = `<rect x="${short(left)}" y="${short(top)}" width="${RULER_CM}" height="${short(steps * stepCm)}" fill="#fffaf0" stroke="${INK}" stroke-width=".06"/><path stroke="${INK}" stroke-width=".06" d="`;
  const isLong = (i: number) => stepCm > 1.5 || i % 5 === 0;
  for (let i = 1; i < steps; i++)
    out += `M${short(left)} ${short(top + i * stepCm)}h${isLong(i) ? 0.7 : 0.35}`;
  out += `"/><g font-size=".72" fill="${INK}"><text x="${short(left + 0.8)}" y="${short(top + 0.75)}">${unit}</text>`;
  for (let i = 1; i < steps; i++)
    if (isLong(i)) out += `<text x="${short(left + 0.85)}" y="${short(top + i * stepCm + 0.25)}">${i}</text>`;
  return `${out}</g>`;
}
