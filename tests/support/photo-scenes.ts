import type { Homography } from '@/core/photo/homography';
import { evenScale, inverse, toPx } from '@/core/photo/homography';
import { cardShapes, OWN_CARD } from '@/core/photo/own-card';
import type { Picture, Point } from '@/core/photo/picture';
import type { Reference } from '@/core/photo/reference';
import type { Measuring } from '@/core/photo/refusal';

/** Plain mulberry32, as the check values were made with. */
export function mulberry32(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const encoded = (linear: number) =>
  linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
const byteOf = (linear: number) => Math.round(255 * encoded(Math.min(1, Math.max(0, linear))));

/** A picture from how much light each place gives back, linear, as a mean of 4 × 4 places a pixel. */
export function rendered(
  width: number,
  height: number,
  albedo: (x: number, y: number) => number | readonly [number, number, number],
  subsamples = 4,
): Picture {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0];
      for (let j = 0; j < subsamples; j++) {
        for (let i = 0; i < subsamples; i++) {
          const light = albedo(x + (i + 0.5) / subsamples - 0.5, y + (j + 0.5) / subsamples - 0.5);
          for (let k = 0; k < 3; k++) sum[k]! += typeof light === 'number' ? light : light[k]!;
        }
      }
      const at = 4 * (y * width + x);
      for (let k = 0; k < 3; k++) data[at + k] = byteOf(sum[k]! / subsamples ** 2);
      data[at + 3] = 255;
    }
  }
  return { width, height, data };
}

/** The plane of the check values seen from aslant, mm → px. @source photo §11 */
export const ASLANT: Homography = [3, -0.3, 320, -0.2, 2.9, 240, 0.0004, 0.0006, 1];

/** Light of the printed card as ink and paper give it back. */
const CARD_LIGHT: Readonly<Record<string, number>> = {
  '#000000': 0.04,
  '#ffffff': 0.85,
  '#a9a9a9': 0.4,
  '#757575': 0.18,
  '#454545': 0.06,
};

/** The printed card on a plain ground. */
export function ownCardScene(h: Homography = ASLANT, width = 640, height = 480, ground = 0.3): Picture {
  const back = inverse(h);
  const shapes = cardShapes();
  return rendered(width, height, (u, v) => {
    const [x, y] = toPx(back, [u, v]);
    if (Math.abs(x) > OWN_CARD.width / 2 || Math.abs(y) > OWN_CARD.height / 2) return ground;
    const on = shapes.findLast(
      (shape) => x >= shape.x && x < shape.x + shape.width && y >= shape.y && y < shape.y + shape.height,
    );
    return CARD_LIGHT[on?.tone ?? '#ffffff']!;
  });
}

/** A card of bank size, its corners round, on a plain ground. */
export function bankCardScene(h: Homography = ASLANT, width = 640, height = 480): Picture {
  const back = inverse(h);
  const [hw, hh, radius] = [85.6 / 2, 53.98 / 2, 3.18];
  return rendered(width, height, (u, v) => {
    const [x, y] = toPx(back, [u, v]);
    const [dx, dy] = [Math.max(0, Math.abs(x) - (hw - radius)), Math.max(0, Math.abs(y) - (hh - radius))];
    return Math.hypot(dx, dy) <= radius ? 0.15 : 0.5;
  });
}

/** Left for right, as a front camera keeps it. */
export function flipped({ width, height, data }: Picture): Picture {
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let k = 0; k < 4; k++) out[4 * (y * width + x) + k] = data[4 * (y * width + width - 1 - x) + k]!;
  return { width, height, data: out };
}

/** One curl as a thick wave of ink, 5 px to the mm, its values encoded. @source photo §11.4 */
export function curlScene(pitchMm: number, diameterMm: number, widthMm: number): Picture {
  const [width, height, perMm] = [500, 160, 5];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let ink = 0;
      for (let k = 0; k < 16; k++) {
        const [u, v] = [x + ((k % 4) + 0.5) / 4 - 0.5, y + (Math.floor(k / 4) + 0.5) / 4 - 0.5];
        const middle = ((diameterMm - widthMm) / 2) * Math.cos((2 * Math.PI * u) / perMm / pitchMm);
        if (Math.abs((v - 80) / perMm - middle) <= widthMm / 2) ink++;
      }
      const value = Math.round(200 + (ink / 16) * (40 - 200));
      data.set([value, value, value, 255], 4 * (y * width + x));
    }
  }
  return { width, height, data };
}

/** A wavy pattern that drowns in noise, 6 px to the mm. @param n share of noise, 0 to 1 @source photo §11.5 */
export function patternScene(n: number): Picture {
  const rng = mulberry32(11);
  const normal = () => Math.sqrt(-2 * Math.log(rng())) * Math.cos(2 * Math.PI * rng());
  return rendered(
    240,
    240,
    (x, y) =>
      0.1 *
      (1 + 0.8 * (1 - n) * Math.sin((2 * Math.PI * (x + 6 * Math.sin(y / 20))) / 36) + 0.28 * n * normal()),
    1,
  );
}

/** A round head of hair with rays standing off it, 3 px to the mm. @source photo §11.6 */
export function haloScene(rays: number): Picture {
  return rendered(400, 400, (u, v) => {
    const [x, y] = [u - 199.5, v - 199.5];
    const far = Math.hypot(x, y);
    if (far <= 100) return 0.05;
    if (rays === 0 || far > 140) return 0.6;
    const step = (2 * Math.PI) / rays;
    const angle = Math.atan2(y, x);
    const off = angle - Math.round(angle / step) * step;
    return Math.abs(far * Math.sin(off)) <= 0.25 ? 0.05 : 0.6;
  });
}

/** A half circle of a radius, mm, in so many points. */
export const halfCircle = (radiusMm: number, points: number): Point[] =>
  Array.from({ length: points }, (_, i) => {
    const angle = (Math.PI * i) / (points - 1);
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
  });

/** The printed card with one curl hanging beside it, 5 px to the mm: what a stylist’s picture has, its truth known. */
export function cardAndCurlScene(pitchMm: number, diameterMm: number, widthMm: number): Picture {
  const card = ownCardScene([5, 0, 300, 0, 5, 300, 0, 0, 1], 620, 600, 0.6);
  const curl = rendered(580, 600, (x, y) => {
    const middle = ((diameterMm - widthMm) / 2) * Math.cos((2 * Math.PI * y) / 5 / pitchMm);
    return Math.abs((x - 290) / 5 - middle) <= widthMm / 2 ? 0.03 : 0.6;
  });
  const [width, height] = [card.width + curl.width, card.height];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    data.set(card.data.subarray(4 * y * card.width, 4 * (y + 1) * card.width), 4 * y * width);
    data.set(curl.data.subarray(4 * y * curl.width, 4 * (y + 1) * curl.width), 4 * (y * width + card.width));
  }
  return { width, height, data };
}

/** What was measured; a refusal fails the test with its name. */
export const okOf = <T>(came: Measuring<T>): T => {
  if (!came.ok) throw new Error(`refused: ${came.refusal}`);
  return came.value;
};

/** A picture in which a mm is as many px everywhere, its origin at a place. */
export const evenReference = (pxPerMm: number, origin: Point = [0, 0]): Reference => ({
  kind: 'ruler',
  h: evenScale(pxPerMm, origin),
  covariance: null,
  relativeSigma: 0,
  pose: null,
  isMirrored: false,
  corners: null,
});
