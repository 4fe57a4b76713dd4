import { thresholds } from '../coefficients/thresholds';
import type { PrepStepId } from '../coefficients/prep-steps';
import { rootMethods } from '../coefficients/root-and-ends';
import { ZONES } from '../hair/zone';
import { techniqueOf } from '../techniques';
import { hasCondition, isSleptIn, type Caution, type CautionContext } from './caution';

const pullsAnywhere = ({ brief }: CautionContext) =>
  ZONES.some((zone) => rootMethods[brief.zones[zone].rootMethod].pulls);
const pressesAnywhere = ({ brief }: CautionContext) =>
  ZONES.some((zone) => techniqueOf(brief.zones[zone].technique).pressesAsleep);

const longestIn = ({ brief }: CautionContext) =>
  Math.min(
    ...ZONES.map(
      (zone) => techniqueOf(brief.zones[zone].technique).leaveInDays ?? thresholds.value.leaveInDays,
    ),
  );

const has = (prep: CautionContext['brief']['prep'], wanted: PrepStepId) =>
  prep?.some(({ step }) => step === wanted) ?? false;

/** Scalp, skin, tension and people. */
export const SCALP_AND_PEOPLE: readonly Caution[] = [
  {
    code: 'sore-scalp',
    severity: 'stop',
    shows: ['plan'],
    when: (c) => hasCondition(c, 'sore-scalp'),
    text: () => 'A sore, broken, infected or flaring scalp is not set today. Leave it loose and gentle. Sudden or patchy loss: the same.',
    turnTo: 'a dermatologist',
  },
  {
    code: 'tension',
    severity: 'note',
    shows: ['plan', 'setting'],
    moment: 'hairline',
    when: pullsAnywhere,
    text: () => 'Start roots loose at the hairline, temples and nape. Bumps, soreness or a headache: undo that section at once.',
  },
  {
    code: 'knot-tight',
    severity: 'warn',
    shows: ['plan', 'setting'],
    when: (c) => c.facts?.tightestKnot?.comfort === 'tight',
    text: (c) =>
      (c.facts?.tightestKnot?.slackLeft ?? 0) < 0
        ? 'These knots wind so often that the first turn pulls. Take more sections, or leave the first turn looser.'
        : 'These knots are wider than their sections and will press on each other. Take fewer, larger sections, or shorter hair per knot.',
  },
  {
    code: 'slept-in',
    severity: 'warn',
    shows: ['plan', 'drying'],
    when: (c) => pressesAnywhere(c) && isSleptIn(c),
    text: () => 'Knots and rigid rods press when slept on: numb or sore spots at night mean take that one out. Flexible rods or twists are kinder.',
  },
  {
    code: 'left-in',
    severity: 'warn',
    shows: ['drying'],
    when: (c) => c.daysInSet !== null && c.daysInSet > longestIn(c),
    text: (c) =>
      `In for ${Math.floor(c.daysInSet ?? 0)} days; ${longestIn(c)} is the most for this set. Shed hair mats at the root: take it down soon, damp and from the ends.`,
  },
  {
    code: 'child',
    severity: 'warn',
    shows: ['plan', 'setting', 'drying'],
    when: (c) => hasCondition(c, 'child'),
    text: () => 'A child: lighter hands, shorter sittings with breaks, no hot hood, a parent present. Pain means stop.',
    turnTo: 'the parent; your local code on minors',
  },
  {
    code: 'flaking',
    severity: 'note',
    shows: ['plan', 'setting'],
    when: (c) => hasCondition(c, 'flaking-scalp'),
    text: () => 'Flaking scalp: clarify first and keep products off the skin. If it is red, weeping or sore, do not set it.',
    turnTo: 'a dermatologist, when it does not settle',
  },
  {
    code: 'clay-alone',
    severity: 'note',
    shows: ['plan', 'setting'],
    when: ({ brief }) => has(brief.prep, 'clay-mask') && !has(brief.prep, 'deep-condition'),
    text: () => 'Clay draws oil and water out: rinse it all away and follow it with a deep conditioner, or hair sets dry and rough.',
  },
  {
    code: 'patch-test',
    severity: 'note',
    shows: ['plan'],
    when: (c) => c.brief.set.layers.length > 0,
    text: () => 'Anything new on this skin: patch-test it a day or two before, and keep noted allergies in view.',
    turnTo: 'a doctor, at any swelling or rash',
  },
  {
    code: 'nails-and-rings',
    severity: 'note',
    shows: ['setting'],
    moment: 'first',
    // Nothing to plan: it is due when hands begin.
    when: ({ daysInSet }) => daysInSet !== null,
    text: () => 'Rings off, nails smooth: a chip or a stone catches hair and breaks it.',
  },
  {
    code: 'hygiene',
    severity: 'note',
    shows: ['plan', 'setting'],
    moment: 'first',
    when: () => true,
    text: () => 'Clean and disinfect combs, clips and rods between clients as your local board requires. Local codes and licences come first; this plan replaces neither, nor medical advice.',
    turnTo: 'your licensing board',
  },
]; // prettier-ignore
