import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ASLANT,
  bankCardScene,
  haloScene,
  mulberry32,
  okOf,
  ownCardScene,
  patternScene,
  rendered,
} from '../../../tests/support/photo-scenes';
import { cardSheet } from './card-sheet';
import { curlAlong } from './curl';
import { definitionIn } from './definition';
import { evenScale, poseOf, toPx, type Homography } from './homography';
import { lengthAlong, stretchOf } from './length';
import { cardShapes, OWN_CARD } from './own-card';
import { encodedLuminance, linearLuminance, type Point } from './picture';
import { BAR_MM, byBankCard, byOwnCard, byRuler, isAslant, scaleSigma, type Reference } from './reference';
import { sameView, whiteGains } from './same-view';
import { silhouetteOf } from './silhouette';

const refusalOf = (came: { ok: boolean; refusal?: string }) => (came.ok ? 'measured' : came.refusal);

/** The plane of a card as a camera sees it that is turned about its upright and its level axis. */
function seen(tiltDeg: number, aboutDeg: number, distanceMm: number, width = 640, height = 480): Homography {
  const f = (26 / 36) * width;
  const [t, a] = [(tiltDeg * Math.PI) / 180, (aboutDeg * Math.PI) / 180];
  // Turned about an axis in the picture's plane.
  const [ux, uy] = [Math.cos(a), Math.sin(a)];
  const c = Math.cos(t);
  const s = Math.sin(t);
  const r1 = [c + ux * ux * (1 - c), ux * uy * (1 - c), -uy * s];
  const r2 = [ux * uy * (1 - c), c + uy * uy * (1 - c), ux * s];
  const k = (v: number[], t3: number) => [
    f * v[0]! + (width / 2) * (v[2]! + t3),
    f * v[1]! + (height / 2) * (v[2]! + t3),
    v[2]! + t3,
  ];
  const [a1, a2, a3] = [k(r1, 0), k(r2, 0), k([0, 0, 0], distanceMm)];
  return [0, 1, 2].flatMap((row) => [a1[row]! / distanceMm, a2[row]! / distanceMm, a3[row]! / distanceMm]);
}

const even = (pxPerMm: number): Reference => okOf(byRuler([[0, 0], [400, 0]], 400 / pxPerMm)); // prettier-ignore

describe('where the camera stood', () => {
  it('is read back from the plane', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        fc.double({ min: 150, max: 1200, noNaN: true }),
        (tilt, about, distance) => {
          const pose = poseOf(seen(tilt, about, distance), 640, 480, 26);
          expect(pose.tiltDeg).toBeCloseTo(tilt, 1);
          expect(pose.distanceMm / distance).toBeCloseTo(1, 3);
        },
      ),
    );
  });

  it('nearer, hair that lies before the card matters more: 2 % at a metre for 20 mm, 7 % at 30 cm', () => {
    const at = (distanceMm: number) => scaleSigma({ ...even(4), pose: { distanceMm, tiltDeg: 0 } });
    expect(2 * at(1000)).toBeCloseTo(0.02, 2);
    expect(2 * at(300)).toBeCloseTo(0.07, 1);
    expect(at(100_000)).toBe(0.01);
  });
});

describe('scale', () => {
  it.each([1, 2, 3, 4, 5, 6])('a bank card, tapped 2 to 7 px off and up to 34° aslant, case %i', (seed) => {
    const rng = mulberry32(seed);
    const h = seen(34 * rng(), 180 * rng(), 190 + 40 * rng());
    const taps = (
      [
        [-42.8, -26.99],
        [42.8, -26.99],
        [42.8, 26.99],
        [-42.8, 26.99],
      ] as Point[]
    ).map((corner): Point => {
      const [x, y] = toPx(h, corner);
      const [far, way] = [2 + 5 * rng(), 2 * Math.PI * rng()];
      return [x + far * Math.cos(way), y + far * Math.sin(way)];
    });
    const shuffled = [taps[2]!, taps[0]!, taps[3]!, taps[1]!];
    const card = okOf(byBankCard(bankCardScene(h), shuffled, 26));
    const ends = [[-30, 5], [30, 5]].map(([x, y]) => toPx(h, [x!, y!])); // prettier-ignore
    expect(Math.abs(okOf(lengthAlong(card, ends)).value / 60 - 1)).toBeLessThan(0.001);
    const [x, y] = toPx(card.h, [0, 40]);
    const [u, v] = toPx(h, [0, 40]);
    expect(Math.hypot(x - u, y - v)).toBeLessThan(0.4);
  });

  it.each([
    [10, 30, 'level'],
    [28, 70, 'turned'],
    [40, 140, 'far aslant'],
  ])('the printed card at %i° is found, and 80 mm from its middle still true', (tilt, about) => {
    const h = seen(tilt, about, 170);
    const card = okOf(byOwnCard(ownCardScene(h), 50, 26));
    const ends = [[-30, 0], [30, 0]].map(([x, y]) => toPx(h, [x!, y!])); // prettier-ignore
    expect(Math.abs(okOf(lengthAlong(card, ends)).value / 60 - 1)).toBeLessThan(0.001);
    expect(card.pose!.tiltDeg).toBeCloseTo(tilt, 0);
    expect(isAslant(card)).toBe(tilt > 35);
  });

  it('a card printed 2 % too large is told by its bar', () => {
    const large = okOf(byOwnCard(ownCardScene(), 51, null));
    const ends = [-30, 30].map((x) => toPx(ASLANT, [x, 0]));
    expect(okOf(lengthAlong(large, ends)).value).toBeCloseTo(60 * 1.02, 1);
    expect(refusalOf(byOwnCard(ownCardScene(), BAR_MM.high + 1, null))).toBe('bar-off');
  });

  it('refuses what cannot be trusted, in words of its own', () => {
    const far = seen(0, 0, 900);
    const corners = ([[-42.8, -26.99], [42.8, -26.99], [42.8, 26.99], [-42.8, 26.99]] as Point[]).map((c) => toPx(far, c)); // prettier-ignore
    expect(refusalOf(byBankCard(bankCardScene(far), corners, 26))).toBe('card-small');
    const nothing = rendered(640, 480, () => 0.5, 1);
    expect(refusalOf(byBankCard(nothing, [[100, 100], [500, 100], [500, 350], [100, 350]], 26))).toBe('card-edges'); // prettier-ignore
    expect(refusalOf(byOwnCard(ownCardScene(seen(0, 0, 1500)), 50, 26))).toBe('card-not-found');
    expect(refusalOf(byRuler([[0, 0], [200, 0]], 100))).toBe('ruler-short'); // prettier-ignore
    const steep = seen(58, 90, 150);
    const taps = ([[-42.8, -26.99], [42.8, -26.99], [42.8, 26.99], [-42.8, 26.99]] as Point[]).map((c) => toPx(steep, c)); // prettier-ignore
    expect(refusalOf(byBankCard(bankCardScene(steep), taps, 26))).toBe('card-tilted');
  });

  it('the printed card has its bar of 50 mm, four marks and the code', () => {
    const shapes = cardShapes();
    expect(shapes.at(-1)).toMatchObject({ width: 50, height: 2 });
    expect(shapes.filter(({ width }) => width === 17.5)).toHaveLength(4);
    expect(shapes.filter(({ width, height }) => width === 6 && height === 8)).toHaveLength(
      [...OWN_CARD.code.cells].filter((cell) => cell === '1').length,
    );
    for (const { x, y, width, height } of shapes) {
      expect(Math.abs(x) + (x < 0 ? 0 : width)).toBeLessThanOrEqual(OWN_CARD.width / 2);
      expect(Math.abs(y) + (y < 0 ? 0 : height)).toBeLessThanOrEqual(OWN_CARD.height / 2);
    }
  });
});

describe('the printed card', () => {
  it('printed, photographed and looked for is found: drawn as it is sent to paper, at 3 px to the mm', () => {
    const sheet = cardSheet('a4');
    const boxes = sheet.marks.flatMap((mark) => {
      if (mark.kind !== 'path' || mark.fill === 'none') return [];
      const [, x, y, w, h] = /^M(\S+) (\S+)h(\S+)v(\S+)h/.exec(mark.d)!.map(Number) as [
        number,
        number,
        number,
        number,
        number,
      ];
      const light = { ink: 0.04, paper: 0.85, 'light-grey': 0.4, grey: 0.18, 'dark-grey': 0.06 }[mark.fill];
      return [{ x: x + mark.xMm, y: y + mark.yMm, w, h, light }];
    });
    const page = rendered(630, 420, (u, v) => {
      const [x, y] = [u / 3, v / 3];
      return (
        boxes.findLast((box) => x >= box.x && x < box.x + box.w && y >= box.y && y < box.y + box.h)?.light ??
        0.85
      );
    });
    const card = okOf(byOwnCard(page, 50, 26));
    const ends = ([[-25, 0], [25, 0]] as Point[]).map(([x, y]): Point => [3 * (105 + x), 3 * (80 + y)]); // prettier-ignore
    expect(okOf(lengthAlong(card, ends)).value).toBeCloseTo(50, 1);
    expect(sheet.marks.some((mark) => mark.kind === 'text' && mark.text.includes('50.0 mm'))).toBe(true);
  });
});

describe('length and stretch', () => {
  it('a straight line is as long as its ends are apart, however many points it is tapped with', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        (n, pxPerMm) => {
          const scale = { ...even(4), h: evenScale(pxPerMm, [50, 50]) };
          const taps = Array.from({ length: n }, (_, i): Point => [
            10 + (300 * i) / (n - 1),
            20 + (400 * i) / (n - 1),
          ]);
          expect(okOf(lengthAlong(scale, taps)).value).toBeCloseTo(500 / pxPerMm, 6);
        },
      ),
    );
    expect(refusalOf(lengthAlong(even(4), [[1, 1]]))).toBe('line-short');
  });

  it('what shows is never more than all of it', () => {
    const visible = (value: number) => ({ value, sigma: 2 });
    expect(okOf(stretchOf(visible(120), 20))).toEqual({ value: 0.6, sigma: 0.01 });
    expect(okOf(stretchOf(visible(205), 20)).value).toBe(1);
    expect(refusalOf(stretchOf(visible(207), 20))).toBe('too-long');
  });
});

describe('pictures that tell nothing', () => {
  it('too dark, too bright, too little detail, too small a box', () => {
    const box = { left: 3, top: 3, right: 37, bottom: 37 };
    const of = (light: number) => linearLuminance(rendered(240, 240, () => light, 1));
    const six = { ...even(6), h: evenScale(6, [0, 0]) };
    expect(refusalOf(definitionIn(of(0.001), six, box))).toBe('dark');
    expect(refusalOf(definitionIn(of(0.95), six, box))).toBe('bright');
    expect(refusalOf(definitionIn(of(0.3), { h: evenScale(2, [0, 0]) }, box))).toBe('detail');
    expect(refusalOf(definitionIn(of(0.3), six, { ...box, right: 15 }))).toBe('box-small');
  });

  it('a curl too short, and one without enough pixels', () => {
    const plane = encodedLuminance(patternScene(0.5));
    const ends: [Point, Point] = [[10, 100], [40, 100]]; // prettier-ignore
    expect(refusalOf(curlAlong(plane, { ...even(6), h: evenScale(6, [0, 0]) }, ends, 5))).toBe('drag-short');
    expect(refusalOf(curlAlong(plane, { ...even(6), h: evenScale(1.5, [0, 0]) }, [[10, 100], [200, 100]], 5))).toBe('detail'); // prettier-ignore
  });

  it('hair on a wall of its own colour, hair cut off at the side, and no hair', () => {
    const scale = { ...even(3), h: evenScale(3, [200, 200] as const) };
    const same = rendered(400, 400, (x, y) => (Math.hypot(x - 200, y - 200) < 100 ? 0.05 : 0.055), 1);
    expect(refusalOf(silhouetteOf(same, scale, [20, 20], [200, 200]))).toBe('background');
    const cut = rendered(400, 400, (x, y) => (Math.hypot(x - 60, y - 200) < 100 ? 0.05 : 0.6), 1);
    expect(refusalOf(silhouetteOf(cut, scale, [380, 20], [60, 200]))).toBe('cut-off');
  });

  it('single hairs need pixels: the outline is measured, frizz is not', () => {
    const coarse = { ...even(3), h: evenScale(1.4, [200, 200] as const) };
    const came = okOf(silhouetteOf(haloScene(20), coarse, [20, 20], [200, 200]));
    expect(came.frizz).toBeNull();
    expect(came.widthCm.value).toBeCloseTo(200 / 14, 0);
  });
});

describe('the same view', () => {
  const marks: Point[] = [[100, 200], [300, 200], [200, 80], [200, 330]]; // prettier-ignore
  const turned = (scale: number, deg: number): Point[] =>
    marks.map(([x, y]) => {
      const a = (deg * Math.PI) / 180;
      return [
        scale * (x * Math.cos(a) - y * Math.sin(a)) + 17,
        scale * (x * Math.sin(a) + y * Math.cos(a)) - 9,
      ];
    });

  it('is known by scale and turn, and refused beyond them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.7, max: 1.4, noNaN: true }),
        fc.double({ min: -15, max: 15, noNaN: true }),
        (scale, deg) => {
          const came = sameView(marks, turned(scale, deg), 200);
          const isSame = scale >= 0.95 && scale <= 1.05 && Math.abs(deg) <= 5;
          fc.pre(
            Math.min(Math.abs(scale - 0.95), Math.abs(scale - 1.05)) > 1e-6 &&
              Math.abs(Math.abs(deg) - 5) > 1e-6,
          );
          expect(came.ok).toBe(isSame);
          if (came.ok) {
            expect(came.value.scale).toBeCloseTo(scale, 6);
            expect(came.value.turnDeg).toBeCloseTo(deg, 6);
            expect(came.value.rms).toBeLessThan(1e-9);
          }
        },
      ),
    );
  });

  it('marks that moved against each other are another view', () => {
    const moved = marks.map(([x, y], i): Point => (i === 3 ? [x + 30, y] : [x, y]));
    expect(refusalOf(sameView(marks, moved, 200))).toBe('other-view');
  });

  it('the paper of the card tells the colour of the light', () => {
    const gains = okOf(whiteGains(ownCardScene(), ASLANT));
    for (const gain of gains) expect(gain).toBeCloseTo(1, 1);
    expect(
      refusalOf(
        whiteGains(
          rendered(640, 480, () => 1, 1),
          ASLANT,
        ),
      ),
    ).toBe('white-off');
  });
});
