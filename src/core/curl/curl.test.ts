import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blendedRate, curlAfterTakedown } from './after-takedown';
import { hang, hairStiffness } from './hang';
import { ALONG_WEIGHTS, alongHair, sharesBeyond } from './along-hair';
import { bendOfHelix, helixFromLay, helixOfBend, polarOfBend } from './helix';
import { naturalBend } from './natural-shape';

const length = fc.double({ min: 0.5, max: 40, noNaN: true });

describe('helices', () => {
  it('curvature and torsion of radius 8, pitch 2 (differential geometry)', () => {
    const bend = bendOfHelix({ radiusMm: 8, pitchMm: 2 });
    expect(bend.curvature).toBeCloseTo(0.1176471, 7);
    expect(bend.torsion).toBeCloseTo(0.0294118, 7);
  });

  it('radius and pitch come back from curvature and torsion', () => {
    fc.assert(
      fc.property(length, length, (radiusMm, pitchMm) => {
        const back = helixOfBend(bendOfHelix({ radiusMm, pitchMm }));
        expect(back.radiusMm / radiusMm).toBeCloseTo(1, 12);
        expect(back.pitchMm / pitchMm).toBeCloseTo(1, 12);
      }),
    );
  });

  it('agrees with curvature measured on a sampled curve', () => {
    const [radius, pitch, step] = [8, 2, 1e-3];
    const at = (u: number) => [radius * Math.cos(u), radius * Math.sin(u), pitch * u] as const;
    const [a, b, c] = [at(-step), at(0), at(step)];
    const speed = Math.hypot(...([0, 1, 2] as const).map((i) => (c[i] - a[i]) / (2 * step)));
    const turn = Math.hypot(...([0, 1, 2] as const).map((i) => (c[i] - 2 * b[i] + a[i]) / step ** 2));
    expect(turn / speed ** 2).toBeCloseTo(bendOfHelix({ radiusMm: radius, pitchMm: pitch }).curvature, 5);
  });

  it('a lay of 40 degrees shows cos 40 of the hair', () => {
    const { radiusMm, pitchMm } = helixFromLay(3, (40 * Math.PI) / 180);
    expect(pitchMm / Math.hypot(radiusMm, pitchMm)).toBeCloseTo(Math.cos((40 * Math.PI) / 180), 12);
  });
});

describe('hair hanging under its weight', () => {
  it('has the stiffness of a 70 µm keratin rod', () => {
    const { bending, torsional } = hairStiffness(70);
    expect(bending).toBeCloseTo(0.0047144, 6);
    expect(torsional).toBeCloseTo(0.0034921, 6);
  });

  it.each([
    [0.1, 0.03, 1e-5, 0.4865864],
    [0.05, 0.02, 3e-5, 0.9721727],
  ])('own κ %d, τ %d under %d N hangs at length ratio %d', (curvature, torsion, forceN, ratio) => {
    const hung = hang(polarOfBend({ curvature, torsion }), forceN, hairStiffness(70));
    expect(Math.cos(hung.angleRad)).toBeCloseTo(ratio, 5);
  });

  it('finds the same angle as a brute search of the elastic energy', () => {
    const { bending, torsional } = hairStiffness(70);
    const own = polarOfBend({ curvature: 0.15, torsion: 0.04 });
    const forceN = 2e-5;
    const energy = (angle: number) =>
      (0.5 * own.rate ** 2 * Math.sin(own.angleRad - angle) ** 2) /
        (Math.cos(angle) ** 2 / bending + Math.sin(angle) ** 2 / torsional) -
      forceN * Math.cos(angle);
    let best = 0;
    for (let angle = 0; angle < own.angleRad; angle += 1e-4) if (energy(angle) < energy(best)) best = angle;
    const hung = hang(own, forceN, { bending, torsional });
    expect(Math.abs(Math.cos(hung.angleRad) - Math.cos(best))).toBeLessThan(1e-3);
  });

  it('stretches a close-wound helix as a spring does: F·R²·length ÷ torsional stiffness', () => {
    // Love, A Treatise on the Mathematical Theory of Elasticity, 4th ed., ch. 19, close-coiled spring (from memory).
    const stiffness = hairStiffness(70);
    const own = polarOfBend(bendOfHelix(helixFromLay(4, (89.9 * Math.PI) / 180)));
    for (const forceN of [1e-8, 5e-8]) {
      const hung = hang(own, forceN, stiffness);
      const extended = Math.cos(hung.angleRad) - Math.cos(own.angleRad);
      expect(extended / ((forceN * 16) / stiffness.torsional)).toBeCloseTo(1, 2);
    }
  });

  it('pulled hard, hair runs straight, and never beyond its length', () => {
    const own = polarOfBend({ curvature: 0.15, torsion: 0.04 });
    const ratios = [1e-6, 1e-5, 1e-4, 1e-3, 1e-2].map((forceN) =>
      Math.cos(hang(own, forceN, hairStiffness(70)).angleRad),
    );
    expect(ratios).toEqual([...ratios].sort((a, b) => a - b));
    expect(ratios.at(-1)!).toBeGreaterThan(0.99);
    expect(ratios.at(-1)!).toBeLessThanOrEqual(1);
  });

  it('is left alone without load', () => {
    const own = polarOfBend({ curvature: 0.1, torsion: 0.05 });
    expect(hang(own, 0, hairStiffness(70))).toEqual(own);
  });
});

describe('curl after takedown', () => {
  const worn = (change: Partial<Parameters<typeof curlAfterTakedown>[0]>) =>
    curlAfterTakedown({
      lengthMm: 250,
      strandUm: 70,
      coilDiameterMm: 6,
      shrinkage: 0.6,
      setNodes: alongHair(() => helixFromLay(3, (40 * Math.PI) / 180)),
      ends: null,
      thicknessMm: 0,
      retention: 0.7,
      straightened: 0,
      hold: 0,
      opening: 0,
      separations: 1,
      opened: 0,
      root: { stretchedMm: 0, stretch: 0 },
      ...change,
    });

  it('ends on a rod of their own weigh the share of the hair that they are', () => {
    const rod = helixFromLay(8, (80 * Math.PI) / 180);
    const at = (share: number) => worn({ retention: 1, ends: { share, helix: rod } }).diameterMm;
    const [body, quarter, half, all] = [at(0), at(0.25), at(0.5), at(1)] as [number, number, number, number];
    expect(sharesBeyond(0.75).reduce((sum, share, i) => sum + share * ALONG_WEIGHTS[i]!, 0)).toBeCloseTo(
      0.25,
      9,
    );
    // Weight pulls less at the ends than higher up: a little more than their share, and no more.
    expect((quarter - body) / (all - body)).toBeGreaterThan(0.24);
    expect((quarter - body) / (all - body)).toBeLessThan(0.3);
    expect((half - body) / (all - body)).toBeLessThan(0.57);
  });

  it('a set keeps its size on large rods and on loose hair: halfway between the means', () => {
    expect(blendedRate(0.1, 0.1, 0.8)).toBeCloseTo(0.1, 12);
    expect(blendedRate(0.1, 0.4, 1)).toBeCloseTo(0.1, 12);
    expect(blendedRate(0.1, 0.02, 0)).toBeCloseTo(0.02, 12);
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (set, own, kept) => {
          const rate = blendedRate(set, own, kept);
          expect(rate).toBeGreaterThanOrEqual(Math.min(set, own) * (1 - 1e-9));
          expect(rate).toBeLessThanOrEqual(kept * set + (1 - kept) * own + 1e-9);
        },
      ),
    );
  });

  it('with nothing of the set left shows the natural coil and length, for many heads', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 0.05, max: 0.88, noNaN: true }),
        fc.double({ min: 40, max: 800, noNaN: true }),
        fc.double({ min: 50, max: 95, noNaN: true }),
        (coilDiameterMm, shrinkage, lengthMm, strandUm) => {
          const curl = worn({ coilDiameterMm, shrinkage, lengthMm, strandUm, retention: 0 });
          expect(curl.stretch).toBeCloseTo(1 - shrinkage, 5);
          expect(curl.diameterMm / coilDiameterMm).toBeCloseTo(1, 4);
        },
      ),
    );
  });

  it('a braided root shows more length, and nights open the curl', () => {
    const plain = worn({});
    expect(worn({ root: { stretchedMm: 40, stretch: 0.93 } }).stretch).toBeGreaterThan(plain.stretch);
    expect(worn({ opened: 0.2 }).stretch).toBeGreaterThan(plain.stretch);
  });

  it('natural shape of a 6 mm coil that shrinks 60 %', () => {
    expect(naturalBend(6, 0.6).curvature).toBeCloseTo(0.28, 9);
    expect(naturalBend(6, 0.6).torsion).toBeCloseTo(0.122202, 6);
  });
});
