import { describe, expect, it } from 'vitest';
import { dryMassG, meanSurvival } from '../hair/dry-mass';
import { doseVerdict, inHands, recommendedDoseG, type DoseContext } from './dose';
import { washOffResidueG } from './residue';

const usual: DoseContext = { dryMassG: 100, strandUm: 70, porosity: 'medium', startState: 'damp' };

/* By hand from the model's dose formula (docs/model): rate × dry mass × (70/δ)^.7 × porosity × start × 1.10. */
describe('usual doses', () => {
  it.each([
    ['gel, medium hair', 'gel', {}, 24.2],
    ['leave-in', 'leave-in', {}, 8.8],
    ['mousse', 'mousse', {}, 14.3],
    ['twice the hair', 'gel', { dryMassG: 200 }, 48.4],
    ['fine hair has more surface', 'gel', { strandUm: 55 }, 24.2 * (70 / 55) ** 0.7],
    ['coarse hair has less', 'gel', { strandUm: 90 }, 24.2 * (70 / 90) ** 0.7],
    ['low porosity takes less', 'gel', { porosity: 'low' }, 24.2 * 0.85],
    ['high porosity takes more', 'gel', { porosity: 'high' }, 24.2 * 1.25],
    ['dripping hair takes less', 'gel', { startState: 'dripping' }, 24.2 * 0.85],
    ['stretched hair takes half', 'gel', { startState: 'stretched-dry' }, 12.1],
    [
      'all at once',
      'gel',
      { strandUm: 55, porosity: 'high', startState: 'wet' },
      24.2 * (70 / 55) ** 0.7 * 1.25 * 0.92,
    ],
  ] as const)('%s', (_, role, change, grams) => {
    expect(recommendedDoseG(role, { ...usual, ...change })).toBeCloseTo(grams, 6);
  });

  it('a little and much begin at 55 % and 170 % of it', () => {
    expect([54.9, 55.1, 100, 169.9, 170.1].map((grams) => doseVerdict(grams, 100))).toEqual([
      'little', 'right', 'right', 'right', 'much',
    ]); // prettier-ignore
  });

  it('in hands: a dime is a gram, a dozen is counted in teaspoons, a pump holds 1.8 g', () => {
    expect(inHands('gel', 12)).toEqual({ unit: 'dime', amount: 12 });
    expect(inHands('gel', 12.1)).toEqual({
      unit: 'teaspoon',
      amount: expect.closeTo(12.1 / (4.92892 * 1.02), 6) as number,
    });
    expect(inHands('leave-in', 9)).toEqual({ unit: 'pump', amount: 5 });
    expect(inHands('leave-in', 9, { pump: 3 })).toEqual({ unit: 'pump', amount: 3 });
  });

  it('what stays after washing: what does not evaporate, times what each wash leaves', () => {
    expect(washOffResidueG('butter', 5, 1)).toBeCloseTo(1.75, 9);
    expect(washOffResidueG('butter', 5, 2)).toBeCloseTo(0.6125, 9);
    expect(washOffResidueG('gel', 10, 1)).toBeCloseTo(0.06, 9);
    expect(washOffResidueG('gel', 10, 0)).toBeCloseTo(0.6, 9);
  });
});

describe('mass of hair', () => {
  it('grows with the square of the strand: fine, medium, coarse', () => {
    // π/4 δ² × 1.32 mg/mm³ × 250 mm × 5,940 hairs
    const mass = (um: number) => (Math.PI / 4) * um ** 2 * 1e-6 * 1.32e-3 * 250 * 5940;
    for (const um of [55, 70, 90]) expect(dryMassG(5940, 25, um, 1)).toBeCloseTo(mass(um), 6);
    expect(dryMassG(5940, 25, 90, 0.5)).toBeCloseTo(mass(90) / 2, 6);
  });

  it('fewer hairs reach the end: root whole, 92 % at the middle, 62 % at the last quarter', () => {
    // 25 cm: root 4 cm, so .16 + .59 × .92 + .25 × .62
    expect(meanSurvival(25)).toBeCloseTo(0.8578, 9);
    // 10 cm: the root is at most three tenths
    expect(meanSurvival(10)).toBeCloseTo(0.3 + 0.45 * 0.92 + 0.25 * 0.62, 9);
  });
});
