import type { Condition } from '../formats/brief';
import { nightCares, type NightCareId } from '../coefficients/night-care';
import type { TechniqueId } from '../techniques';
import { techniqueOf } from '../techniques';
import { sentence } from '../words/words';

/** What a style is, as far as its care hangs on it. */
export interface CaredFor {
  readonly technique: TechniqueId;
  readonly night: NightCareId;
  readonly conditions: readonly Condition[];
}

const NIGHTS: Readonly<Record<NightCareId, string>> = {
  nothing: 'Satin under the head at least: a pillowcase or a bonnet keeps it longer',
  'gather-and-bonnet': 'Gather it loosely on top, never tight, and put a satin bonnet over it',
  scarf: 'Tie a satin scarf round the edges and leave the back free',
  're-twists': 'Twist it again in a few big twists, then a satin bonnet',
  're-knots': 'Wind it into knots again along the pieces, then a satin bonnet',
  're-knots-larger': 'Wind it into fewer, larger knots, then a satin bonnet',
};

/** What to do tonight, in a sentence. */
export const tonightWords = ({ night }: CaredFor): string =>
  sentence(NIGHTS[night] || nightCares[night].phrase);

/** How it is freshened up, and what to mind (common practice). */
export function careLines({ technique, conditions }: CaredFor): string[] {
  const { styleName } = techniqueOf(technique);
  return [
    `Freshen the ${styleName} up with a fine mist and your hands; never soak it: water takes the set out.`,
    'A little of the same product on the ends, where it feels dry; less than you think.',
    'Shake it at the roots; do not brush or comb it before the wash.',
    'Keep it dry in rain and shower; after sport let it dry before you touch it.',
    ...(conditions.includes('child') ? ['A child sleeps in nothing that pulls.'] : []),
    ...(conditions.includes('bleached')
      ? ['Bleached ends drink: a drop of oil on them every other day.']
      : []),
    'Sore, bumps or a headache: take it out at once. Itch or flakes that stay, bare patches: ask a dermatologist.',
  ];
}
