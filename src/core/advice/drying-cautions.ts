import { dryness } from '../coefficients/drying';
import { thresholds } from '../coefficients/thresholds';
import { startStates } from '../coefficients/start-states';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import { productRoles } from '../products';
import { hasCondition, isDriedHot, percent, rolesOf, type Caution, type CautionContext } from './caution';

const workAtNight = (c: CautionContext) => c.facts?.asleep.find(({ step }) => step !== 'dry');
const driedAtNight = (c: CautionContext) => c.facts?.asleep.find(({ step }) => step === 'dry');

/** Drying, heat and damp. */
export const DRYING_CAUTIONS: readonly Caution[] = [
  {
    code: 'no-time',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => (c.facts?.dryingWindowH ?? 1) <= 0,
    text: () => 'There is no time left to dry between the end of the set and takedown. Start earlier, or be ready later.',
  },
  {
    code: 'damp-takedown',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => (c.facts?.chanceDryAtTakedown ?? 1) < dryness.value.dryEnough,
    text: (c) =>
      `Only ${percent(c.facts?.chanceDryAtTakedown ?? 0)} sure to be dry at takedown. Taken down damp, it frizzes and goes sooner. Feel the roots and the thickest section first.`,
  },
  {
    code: 'will-not-stay-dry',
    severity: 'warn',
    shows: ['plan', 'drying'],
    when: (c) => c.facts?.roomStaysDamp ?? false,
    text: () => 'Air this damp never lets hair stay dry. Use a hood or dry the room, and keep the style indoors until it has set.',
  },
  {
    code: 'damp-wrapped',
    severity: 'warn',
    shows: ['plan', 'drying'],
    when: (c) => (c.facts?.dampCoveredH ?? 0) > thresholds.value.longestDampCoveredH,
    text: () => 'Damp for over a day from the first night under a cover: hair wrapped damp that long can sour and irritate the scalp. Add a hood before or after the night.',
  },
  {
    code: 'hot-on-weak-hair',
    severity: 'warn',
    shows: ['plan', 'drying'],
    when: (c) => isDriedHot(c) && (hasCondition(c, 'bleached') || hasCondition(c, 'heat-damaged')),
    text: () => 'Bleached or heat-worn hair: keep hot air low and moving, with a cream or heat protectant under the hold.',
  },
  {
    code: 'long-hot',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => (c.facts?.blownHours ?? 0) > thresholds.value.longestHotH,
    text: (c) =>
      `${Math.round(4 * (c.facts?.blownHours ?? 0)) / 4} h of blown air are planned. Few sit that long: start drier, take more and smaller sections, or leave a night before the hood.`,
  },
  {
    code: 'heat-without-protectant',
    severity: 'note',
    shows: ['plan'],
    when: (c) =>
      isDriedHot(c) && !rolesOf(c).includes('heat-protectant'),
    text: () => 'Hot air ahead: a heat protectant costs nothing here. Test the heat on your wrist and keep it off the scalp.',
  },
  {
    code: 'work-at-night',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => workAtNight(c) !== undefined,
    text: (c) =>
      `${workAtNight(c)!.step === 'takedown' || workAtNight(c)!.step === 'separate' ? 'Taking down' : 'The work'} falls into the hours kept for sleep. Be ready later, begin earlier, or take fewer sections.`,
  },
  {
    code: 'hood-at-night',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => driedAtNight(c) !== undefined,
    text: (c) =>
      `The ${dryingMethods[driedAtNight(c)!.method as DryingMethodId].label.toLowerCase()} would run while you sleep. Nobody sleeps under hot or blown air: dry by it before the night or after getting up, and take the bonnet between.`,
  },
  {
    code: 'little-stretch',
    severity: 'note',
    shows: ['plan'],
    when: (c) =>
      startStates[c.brief.set.startState].straightened === 0 &&
      c.brief.set.layers.every((layer) => !productRoles[layer.role].isHold),
    text: () => 'Set wet with nothing that holds, only drying keeps the shape: wait until it is surely dry.',
  },
]; // prettier-ignore
