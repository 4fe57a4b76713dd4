import type { FlatPicture } from './flat-picture';

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

/** Lights that lines of hair are drawn in. */
const LIGHTS = 4;
/** Widths are drawn in steps of this, cm. */
const WIDTH_STEP = 0.06;
const RULER_CM = 1.8;
const GAP_CM = 1.6;
const INK = '#2b1a14';

const rounded = (value: number) => String(Math.round(value * 20) / 20).replace(/^(-?)0\./, '$1.');

/** Points as the shortest path that says them: relative steps, in twentieths of a centimetre. */
function pathOf(points: readonly number[], isClosed = false): string {
  let [x, y] = [Math.round(points[0]! * 20), Math.round(points[1]! * 20)];
  let path = `M${rounded(x / 20)} ${rounded(y / 20)}`;
  let isFirst = true;
  for (let i = 2; i < points.length; i += 2) {
    const [nx, ny] = [Math.round(points[i]! * 20), Math.round(points[i + 1]! * 20)];
    if (nx === x && ny === y) continue;
    path += `${isFirst ? 'l' : ' '}${rounded((nx - x) / 20)} ${rounded((ny - y) / 20)}`;
    isFirst = false;
    [x, y] = [nx, ny];
  }
  return isClosed ? `${path}Z` : path;
}

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
 * the top of the hair.
 */
export function flatSvg(picture: FlatPicture, tones: FlatTones, ruler: FlatRuler): string {
  const { outline, face, runs, box } = picture;
  let out = `<path d="${pathOf(outline, true)}" fill="${tones.skin}" stroke="${tones.skinEdge}" stroke-width=".15" stroke-linejoin="round"/>`;
  out += `<g fill="none" stroke="${tones.skinEdge}" stroke-width=".18" stroke-linecap="round" stroke-linejoin="round">${face
    .map((line) => `<path d="${pathOf(line)}"/>`)
    .join('')}</g>`;
  out += '<g fill="none" stroke-linecap="round" stroke-linejoin="round">';
  let open = '';
  for (const run of runs) {
    const light = run.kind === 'scalp' ? 0 : Math.min(LIGHTS - 1, Math.floor(run.light * LIGHTS));
    const color =
      run.kind === 'tool' ? tones.tool : mixed(tones.hair, '#c9a68a', 0.05 + (0.34 * light) / (LIGHTS - 1));
    const width = Math.max(WIDTH_STEP, Math.round(run.widthCm / WIDTH_STEP) * WIDTH_STEP);
    const dress = `stroke="${color}" stroke-width="${rounded(width)}"`;
    if (dress !== open) {
      if (open) out += '"/>';
      out += `<path ${dress} d="`;
      open = dress;
    }
    out += pathOf(run.points);
  }
  if (open) out += '"/>';
  out += '</g>';
  return out + rulerSvg(flatBox(picture)[0] + 0.4, box.top, Math.min(box.bottom, 25), ruler);
}

function rulerSvg(left: number, top: number, bottom: number, { stepCm, unit }: FlatRuler): string {
  const steps = Math.floor((bottom - top) / stepCm);
  let out = `<rect x="${rounded(left)}" y="${rounded(top)}" width="${RULER_CM}" height="${rounded(steps * stepCm)}" fill="#fffaf0" stroke="${INK}" stroke-width=".06"/><path stroke="${INK}" stroke-width=".06" d="`;
  const isLong = (i: number) => stepCm > 1.5 || i % 5 === 0;
  for (let i = 1; i < steps; i++)
    out += `M${rounded(left)} ${rounded(top + i * stepCm)}h${isLong(i) ? 0.7 : 0.35}`;
  out += `"/><g font-size=".72" fill="${INK}"><text x="${rounded(left + 0.8)}" y="${rounded(top + 0.75)}">${unit}</text>`;
  for (let i = 1; i < steps; i++)
    if (isLong(i))
      out += `<text x="${rounded(left + 0.85)}" y="${rounded(top + i * stepCm + 0.25)}">${i}</text>`;
  return `${out}</g>`;
}
