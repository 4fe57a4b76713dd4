import { LINEAR, type Picture, type Point } from './picture';
import type { Homography } from './homography';
import { paperWhite } from './own-card';
import { measured, refused, type Measuring } from './refusal';

/** A picture laid over another: turned, moved and grown. */
export interface Similarity {
  readonly scale: number;
  readonly turnDeg: number;
  /** Mean miss of the marks, as a share of the head's width. */
  readonly rms: number;
}

/** What still counts as the same view. @source photo §7 */
const SAME = { scale: [0.95, 1.05], turnDeg: 5, rms: 0.02 } as const;

/**
 * How one view lies over another, by three or four marks in each: ear tops, middle of the hairline, chin.
 *
 * @param headWidth between the widest marks, in the measure of the first
 * @source least squares over similarities
 */
export function sameView(
  old: readonly Point[],
  now: readonly Point[],
  headWidth: number,
): Measuring<Similarity> {
  const n = old.length;
  const mean = (points: readonly Point[], k: 0 | 1) => points.reduce((sum, p) => sum + p[k], 0) / n;
  const [ox, oy, nx, ny] = [mean(old, 0), mean(old, 1), mean(now, 0), mean(now, 1)];
  let [re, im, size] = [0, 0, 0];
  old.forEach(([x, y], i) => {
    const [ax, ay] = [x - ox, y - oy];
    const [bx, by] = [now[i]![0] - nx, now[i]![1] - ny];
    re += ax * bx + ay * by;
    im += ax * by - ay * bx;
    size += ax * ax + ay * ay;
  });
  const [c, s] = [re / size, im / size];
  const miss = old.reduce((sum, [x, y], i) => {
    const [ax, ay] = [x - ox, y - oy];
    const [u, v] = [c * ax - s * ay + nx, s * ax + c * ay + ny];
    return sum + (u - now[i]![0]) ** 2 + (v - now[i]![1]) ** 2;
  }, 0);
  const found = {
    scale: Math.hypot(c, s),
    turnDeg: (Math.atan2(s, c) * 180) / Math.PI,
    rms: Math.sqrt(miss / n) / headWidth,
  };
  const isSame =
    found.scale >= SAME.scale[0] &&
    found.scale <= SAME.scale[1] &&
    Math.abs(found.turnDeg) <= SAME.turnDeg &&
    found.rms <= SAME.rms;
  return isSame ? measured(found) : refused('other-view');
}

/** What the paper of the card should be, linear. */
const PAPER_WHITE = 0.85;

/** What each channel is multiplied by, in linear light, so that the card's paper is as white as it is. @source photo §7 */
export function whiteGains(picture: Picture, h: Homography): Measuring<readonly number[]> {
  const white = paperWhite(picture, h);
  const [low, high] = [LINEAR[40]!, LINEAR[250]!];
  if (white.some((value) => value < low || value > high)) return refused('white-off');
  return measured(white.map((value) => PAPER_WHITE / value));
}
