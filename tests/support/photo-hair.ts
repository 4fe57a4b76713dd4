import sharp from 'sharp';
import { blurred, LINEAR, type Picture, type Plane } from '@/core/photo/picture';
import { mulberry32 } from './photo-scenes';

/** What a picture of hair is made with. @source our note on measuring, part 10 */
export interface HairScene {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** Bundles: where each hangs, mm from the left. */
  readonly atMm: readonly number[];
  readonly pitchMm: number;
  readonly diameterMm: number;
  readonly clumpMm: number;
  /** 1 every hair in its bundle, 0 each for itself. */
  readonly order: number;
  readonly hairs: number;
  /** Linear light of hair and of what is behind it, red, green, blue. */
  readonly hair: readonly [number, number, number];
  readonly wall: readonly [number, number, number];
  readonly gain: number;
  readonly blurPx: number;
  readonly noise: number;
  readonly jpeg: number;
  readonly seed: number;
}

/** Black, brown, auburn and bleached hair. */
export const HAIR_COLOURS = [
  [0.012, 0.009, 0.008],
  [0.045, 0.024, 0.015],
  [0.13, 0.045, 0.02],
  [0.38, 0.24, 0.1],
] as const;

/** Half the width of a hair as it covers pixels, mm: a few together. */
const STRAND_MM = 0.09;

/** How much of each pixel is hair: every hair a helix seen from the side, its front half before its back half. */
function coverage(scene: HairScene): Plane {
  const { width, height, pxPerMm, atMm, pitchMm, diameterMm, clumpMm, order, hairs, seed } = scene;
  const rng = mulberry32(seed);
  const normal = () => Math.sqrt(-2 * Math.log(rng() + 1e-12)) * Math.cos(2 * Math.PI * rng());
  const values = new Float32Array(width * height);
  const radius = (diameterMm - clumpMm) / 2;
  const half = STRAND_MM * pxPerMm;
  for (const at of atMm) {
    const phase = 2 * Math.PI * rng();
    for (let n = 0; n < hairs; n++) {
      const stray = 1 - order;
      const own = {
        across: (clumpMm / 2) * (2 * rng() - 1),
        along: (clumpMm / 2) * (2 * rng() - 1),
        phase: phase + stray * Math.PI * normal(),
        pitch: pitchMm * Math.exp(0.25 * stray * normal()),
        wander: stray * diameterMm * 0.5 * normal(),
        slow: 2 * Math.PI * rng(),
      };
      for (let y = 0; y < height; y += 0.5) {
        const s = y / pxPerMm + own.along;
        const x =
          (at + radius * Math.cos((2 * Math.PI * s) / own.pitch + own.phase) + own.across +
            own.wander * Math.sin(s / 9 + own.slow)) * pxPerMm; // prettier-ignore
        const from = Math.max(0, Math.floor(x - half - 1));
        const to = Math.min(width - 1, Math.ceil(x + half + 1));
        for (let px = from; px <= to; px++) {
          const cover = Math.max(0, Math.min(1, half + 0.5 - Math.abs(px - x)));
          const i = Math.floor(y) * width + px;
          values[i] = Math.max(values[i]!, cover);
        }
      }
    }
  }
  return { width, height, values };
}

const encoded = (linear: number) =>
  linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;

/** Sent through a camera: uneven light, blur, noise and a JPEG of some quality. */
export async function photographed(
  light: (x: number, y: number, channel: number) => number,
  {
    width,
    height,
    gain,
    blurPx,
    noise,
    jpeg,
    seed,
  }: Pick<HairScene, 'width' | 'height' | 'gain' | 'blurPx' | 'noise' | 'jpeg' | 'seed'>,
): Promise<Picture> {
  const rng = mulberry32(seed + 7919);
  const data = Buffer.alloc(3 * width * height);
  for (let channel = 0; channel < 3; channel++) {
    const plane: Plane = { width, height, values: new Float32Array(width * height) };
    for (let i = 0; i < plane.values.length; i++) {
      const [x, y] = [i % width, Math.floor(i / width)];
      const uneven = 1 + 0.18 * (x / width - 0.5) - 0.12 * (y / height - 0.5);
      plane.values[i] = gain * uneven * light(x, y, channel);
    }
    blurred(plane, blurPx).values.forEach((value, i) => {
      const grain = noise * Math.sqrt(-2 * Math.log(rng() + 1e-12)) * Math.cos(2 * Math.PI * rng());
      data[3 * i + channel] = Math.max(
        0,
        Math.min(255, Math.round(255 * encoded(Math.min(1, value)) + grain)),
      );
    });
  }
  const sent = await sharp(data, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: jpeg })
    .toBuffer();
  const back = await sharp(sent).ensureAlpha().raw().toBuffer();
  return { width, height, data: new Uint8ClampedArray(back) };
}

/** A picture of hair. */
export function hairScene(scene: HairScene): Promise<Picture> {
  const cover = coverage(scene).values;
  return photographed((x, y, channel) => {
    const share = cover[y * scene.width + x]!;
    return share * scene.hair[channel]! + (1 - share) * scene.wall[channel]!;
  }, scene);
}

/** A scene already taken, photographed again with light, blur, noise and a JPEG of its own. */
export const takenAgain = (
  { width, height, data }: Picture,
  camera: Pick<HairScene, 'gain' | 'blurPx' | 'noise' | 'jpeg' | 'seed'>,
): Promise<Picture> =>
  photographed((x, y, channel) => LINEAR[data[4 * (y * width + x) + channel]!]!, {
    width,
    height,
    ...camera,
  });
