import { describe, expect, it } from 'vitest';
import {
  ASLANT,
  bankCardScene,
  curlScene,
  evenReference,
  flipped,
  haloScene,
  halfCircle,
  mulberry32,
  okOf,
  ownCardScene,
  patternScene,
  rendered,
} from '../../../tests/support/photo-scenes';
import { curlAlong } from './curl';
import { definitionIn } from './definition';
import { evenScale, toPx } from './homography';
import { lengthAlong } from './length';
import { encodedLuminance, linearLuminance, type Point } from './picture';
import { byBankCard, byOwnCard, byRuler } from './reference';
import { silhouetteOf } from './silhouette';

/** Check values of our own note on measuring, part 11: made with another program of the same methods. */

/** From −30 to 30 mm along the middle of the plane. */
const SIXTY = ([-30, 30] as const).map((x) => toPx(ASLANT, [x, 0]));

describe('check values of measuring on pictures', () => {
  it('the generator', () => {
    const rng = mulberry32(1);
    expect([rng(), rng(), rng()].map((value) => value.toFixed(6))).toEqual([
      '0.627074',
      '0.002736',
      '0.527447',
    ]);
  });

  it('the printed card is found by itself, and 60 mm are 60', () => {
    const card = okOf(byOwnCard(ownCardScene(), 50, null));
    expect(card.isMirrored).toBe(false);
    expect(okOf(lengthAlong(card, SIXTY)).value).toBeCloseTo(60, 1);
    expect(Math.abs(okOf(lengthAlong(card, SIXTY)).value - 60)).toBeLessThan(0.05);
  });

  it('turned left for right it is known as such, and a blank picture holds none', () => {
    const card = okOf(byOwnCard(flipped(ownCardScene()), 50, null));
    expect(card.isMirrored).toBe(true);
    const there = SIXTY.map(([x, y]): Point => [639 - x, y]);
    expect(Math.abs(okOf(lengthAlong(card, there)).value - 60)).toBeLessThan(0.05);
    expect(
      byOwnCard(
        rendered(640, 480, () => 0.3, 1),
        50,
        null,
      ),
    ).toEqual({ ok: false, refusal: 'card-not-found' });
  });

  it('a bank card tapped beside its corners is followed along its edges', () => {
    const off: Point[] = [[5, -4], [-4, 5], [3, 5], [-5, -3]]; // prettier-ignore
    const corners: Point[] = [[-42.8, -26.99], [42.8, -26.99], [42.8, 26.99], [-42.8, 26.99]]; // prettier-ignore
    const taps = corners.map((corner, i): Point => {
      const [x, y] = toPx(ASLANT, corner);
      return [x + off[i]![0], y + off[i]![1]];
    });
    const length = okOf(lengthAlong(okOf(byBankCard(bankCardScene(), taps, null)), SIXTY));
    expect(Math.abs(length.value - 60)).toBeLessThan(0.05);
    expect(length.sigma).toBeGreaterThan(0.3);
  });

  it.each([
    [12, 10, 3, 12, 9.94, 0.15],
    [6, 8, 2, 6, 7.98, 0.15],
  ])(
    'a curl of pitch %d mm and diameter %d mm',
    (pitch, diameter, width, seenPitch, seenDiameter, within) => {
      const curl = okOf(
        curlAlong(
          encodedLuminance(curlScene(pitch, diameter, width)),
          evenReference(5, [0, 0]),
          [
            [25, 84],
            [475, 76],
          ],
          0.9 * diameter,
        ),
      );
      expect(Math.abs(curl.pitchMm.value - seenPitch)).toBeLessThan(0.1);
      expect(Math.abs(curl.diameterMm.value - seenDiameter)).toBeLessThan(within);
      expect(curl.isByHand).toBe(false);
      expect(curl.rodLikeMm).toBeLessThan(diameter);
    },
  );

  it('nothing repeats on a blank strip', () => {
    const blank = encodedLuminance(rendered(500, 160, () => 0.5, 1));
    const ends: [Point, Point] = [
      [25, 84],
      [475, 76],
    ];
    expect(curlAlong(blank, evenReference(5, [0, 0]), ends, 9)).toEqual({ ok: false, refusal: 'no-repeat' });
  });

  it.each([
    [0.5, 10],
    [0.6, 8.3],
    [0.7, 4.8],
    [0.75, 2.3],
    [1, 0],
  ])('definition with %d of noise', (noise, index) => {
    const plane = linearLuminance(patternScene(noise));
    const region = { left: 3, top: 3, right: 37, bottom: 37 };
    expect(Math.abs(okOf(definitionIn(plane, evenReference(6, [0, 0]), region)).value - index)).toBeLessThan(
      0.3,
    );
  });

  it.each([
    [0, 0, 0],
    [20, 0.195, 4.3],
    [60, 0.584, 6.8],
    [150, 1.4, 9.1],
  ])('frizz of %d rays', (rays, halo, index) => {
    const came = okOf(silhouetteOf(haloScene(rays), evenReference(3, [200, 200]), [20, 20], [200, 200]));
    expect(Math.abs(came.haloMm - halo)).toBeLessThanOrEqual(0.08 * halo + 0.003);
    expect(Math.abs(came.frizz!.value - index)).toBeLessThan(0.25);
    expect(Math.abs(came.widthCm.value - 6.67)).toBeLessThan(0.07);
    expect(Math.abs(came.heightCm.value - 6.67)).toBeLessThan(0.07);
  });

  it('half a circle of 50 mm in seven points', () => {
    const taps = halfCircle(50, 7).map((point) => toPx(evenScale(4, [300, 100]), point));
    expect(Math.abs(okOf(lengthAlong(evenReference(4, [300, 100]), taps)).value - 156.6)).toBeLessThan(0.02);
  });

  it('a ruler: error by how far its marks lie apart', () => {
    const ruler = okOf(byRuler([[100, 50], [500, 50]], 100)); // prettier-ignore
    expect(ruler.h[0]).toBe(4);
    expect(100 * ruler.relativeSigma).toBeCloseTo((100 * Math.SQRT2 * 1.5) / 400, 9);
  });
});
