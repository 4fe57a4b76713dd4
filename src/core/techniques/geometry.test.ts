import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { techniqueOf } from '.';
import { bundleOf, type BundleSource } from './bundle-of';
import { carryProblem, carryProposals } from './carrying';
import { withEndRod } from './end-rod';
import { conicalSpiralMm, knotForm } from './knot-form';
import { fitFormer, fitRod } from './rod-fit';
import { braidStrand, curveMeans, equivalentHelix, twiceTwistedStrand } from './strand-curves';

const source = (change: Partial<BundleSource> = {}): BundleSource => ({
  sectionCm2: 650 / 30,
  densityPerCm2: 165,
  strandUm: 70,
  lengthCm: 25,
  coilDiameterMm: 6,
  shrinkage: 0.6,
  packed: 1,
  ...change,
});

describe('strands of a plait and of a twisted twist (values of the model note)', () => {
  it('a plait shows .7954 of its hair and bends .5953 over the strand', () => {
    const means = curveMeans(braidStrand);
    expect(means.lengthRatio).toBeCloseTo(0.7954, 4);
    expect(means.rmsCurvature).toBeCloseTo(0.5953, 4);
  });

  it('its strands just press: they come as near as .92 of their thickness', () => {
    let nearest = Infinity;
    for (let i = 0; i < 360; i++) {
      const a = braidStrand((i * Math.PI) / 180);
      for (let j = 0; j < 360; j++) {
        // The next strand, a third of a turn on, at the same height of the plait.
        const turn = (j * Math.PI) / 180;
        const b = braidStrand(turn + (2 * Math.PI) / 3);
        const height = b[2] - (9 / (2 * Math.PI)) * ((2 * Math.PI) / 3);
        nearest = Math.min(nearest, Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - height));
      }
    }
    expect(nearest).toBeCloseTo(0.92, 1);
  });

  it('a rope twisted on itself and round another runs 11.086 in a turn, a plain one 9.390', () => {
    const lay = (42 * Math.PI) / 180;
    expect(curveMeans(twiceTwistedStrand(lay)).arcPerTurn).toBeCloseTo(11.08607, 4);
    expect(2 * Math.PI * Math.hypot(1, 1 / Math.tan(lay))).toBeCloseTo(9.390073, 5);
  });

  it('the equivalent helix bends as much and is as long', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (curvature, ratio) => {
          const { radiusMm, pitchMm } = equivalentHelix(curvature, ratio);
          expect(radiusMm / (radiusMm ** 2 + pitchMm ** 2)).toBeCloseTo(curvature, 9);
          expect(pitchMm / Math.hypot(radiusMm, pitchMm)).toBeCloseTo(ratio, 9);
        },
      ),
    );
  });
});

describe('knots', () => {
  it('a conical spiral of radius 9, growing 1.1 and rising .7, is 234.569 long after 14 (model note)', () => {
    expect(conicalSpiralMm(9, 1.1, 0.7, 14)).toBeCloseTo(234.568945, 5);
  });

  it('is as long as the same spiral summed in small steps', () => {
    let sum = 0;
    const steps = 20_000;
    for (let i = 0; i < steps; i++) {
      const theta = (14 * (i + 0.5)) / steps;
      sum += Math.hypot(9 + 1.1 * theta, Math.hypot(1.1, 0.7)) * (14 / steps);
    }
    expect(conicalSpiralMm(9, 1.1, 0.7, 14)).toBeCloseTo(sum, 4);
  });

  it('55 mm² of hair 25 cm long makes 1.91 turns, 53 mm across and 17.5 mm high (model note)', () => {
    const knot = knotForm({ grossMm2: 55, lengthMm: 250, sectionCm2: 43.3 });
    expect(knot.ropeMm).toBeCloseTo(8.368284, 5);
    expect(knot.turns).toBeCloseTo(1.909899, 4);
    expect(knot.diameterMm).toBeCloseTo(53.38124, 3);
    expect(knot.heightMm).toBeCloseTo(17.53551, 3);
    expect(knot.slackLeft).toBeCloseTo(0.173604, 4);
    expect(knot.comfort).toBe('easy');
  });

  it('longer hair winds more and pulls more', () => {
    const knots = [200, 400, 800].map((lengthMm) => knotForm({ grossMm2: 40, lengthMm, sectionCm2: 43 }));
    expect(knots[2]!.turns).toBeGreaterThan(knots[0]!.turns);
    expect(knots[2]!.slackLeft).toBeLessThan(knots[0]!.slackLeft);
    expect(knots[2]!.comfort).not.toBe('easy');
  });
});

describe('tools', () => {
  it('a gap between wraps takes up more of a flexible rod', () => {
    const hair = { grossMm2: 27.5, lengthMm: 250 };
    const rod = { diameterMm: 16, workingLengthMm: 200 };
    expect(fitRod(hair, rod, 0.25).axialMm).toBeGreaterThan(fitRod(hair, rod).axialMm);
  });

  it('a former shows the slope of a helix as steep as it is wide: .303 of the hair', () => {
    const fit = fitFormer({ grossMm2: 27.5, lengthMm: 250 }, { diameterMm: 16, workingLengthMm: 300 });
    expect(fit.axialMm / 250).toBeCloseTo(1 / Math.hypot(1, Math.PI), 9);
    expect(fit.fits).toBe(true);
    expect(fitFormer({ grossMm2: 27.5, lengthMm: 250 }, { diameterMm: 16, workingLengthMm: 60 }).fits).toBe(
      false,
    );
  });

  it('a rod on the ends curls the last quarter and nothing else', () => {
    const twist = techniqueOf('two-strand-twist');
    const hair = bundleOf(twist, source());
    const form = twist.form(hair, null);
    const ended = withEndRod(form, hair, { diameterMm: 16, workingLengthMm: 70 });
    expect(ended.nodes).toEqual(form.nodes);
    expect(ended.ends!.share).toBe(0.25);
    expect(ended.ends!.helix.radiusMm).toBeGreaterThan(8);
  });
});

describe('what a length can carry', () => {
  const problemOf = (
    id: Parameters<typeof techniqueOf>[0],
    change: Partial<BundleSource>,
    diameterMm = 16,
  ) => {
    const technique = techniqueOf(id);
    const tool = technique.tool ? { diameterMm, workingLengthMm: 80 } : null;
    return carryProblem(technique, bundleOf(technique, source(change)), tool, false);
  };

  it('3 cm of nape do not braid, and comb coils are offered', () => {
    expect(problemOf('braid', { lengthCm: 3 })?.code).toBe('too-short');
    const offers = carryProposals('braid', source({ lengthCm: 3 }), 3, null, false);
    expect(offers.map((offer) => offer.technique)).toContain('comb-coil');
  });

  it('45 cm do not fit a 9 mm rod, and a larger one or smaller sections are offered', () => {
    expect(problemOf('rod-set', { lengthCm: 45 }, 9)?.code).toBe('overlaps');
    const tool = { diameterMm: 9, workingLengthMm: 80 };
    const offers = carryProposals('rod-set', source({ lengthCm: 45 }), 30, tool, false);
    const larger = offers.find((offer) => offer.technique === 'rod-set' && offer.toolDiameterMm !== 9);
    expect(larger!.toolDiameterMm).toBeGreaterThan(9);
    expect(problemOf('rod-set', { lengthCm: 45 }, larger!.toolDiameterMm!)).toBeNull();
  });

  it('formers want stretched hair, comb coils short hair, a rod a full turn', () => {
    expect(problemOf('spiral-former', {})?.code).toBe('wants-stretched');
    expect(problemOf('comb-coil', { lengthCm: 25 })?.code).toBe('too-long');
    expect(problemOf('rod-set', { lengthCm: 5, sectionCm2: 4 }, 38)?.code).toBe('less-than-a-turn');
    expect(problemOf('two-strand-twist', {})).toBeNull();
  });

  it('whatever is offered can be carried, for any hair', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('braid' as const, 'rod-set' as const, 'bantu-knot' as const, 'comb-coil' as const),
        fc.double({ min: 1.5, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 60, noNaN: true }),
        (id, lengthCm, sectionCm2) => {
          const own = source({ lengthCm, sectionCm2 });
          const tool = techniqueOf(id).tool ? { diameterMm: 10, workingLengthMm: 70 } : null;
          for (const offer of carryProposals(id, own, 4, tool, false)) {
            const technique = techniqueOf(offer.technique);
            const times = offer.sections ? offer.sections / 4 : 1;
            const hair = bundleOf(technique, { ...own, sectionCm2: sectionCm2 / times });
            const offered = technique.tool
              ? {
                  diameterMm: offer.toolDiameterMm!,
                  workingLengthMm:
                    offer.sections && tool
                      ? tool.workingLengthMm
                      : technique.tool === 'flexible-rod'
                        ? 200
                        : technique.tool === 'former'
                          ? 300
                          : 80,
                }
              : null;
            expect(
              carryProblem(technique, hair, offered, false),
              `${offer.text} at ${lengthCm} cm`,
            ).toBeNull();
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
