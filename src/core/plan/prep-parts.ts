import { handsOn as handsOnTable } from '../coefficients/result';
import { prepBySetting, prepSteps } from '../coefficients/prep-steps';
import { startStates } from '../coefficients/start-states';
import { nearlyDryAfterMin } from '../drying/loose-hair';
import type { PrepPart } from '../schedule/backward';
import type { Brief } from '../brief/brief';
import type { SectionPlan } from './section-forecasts';

/**
 * What comes before the set: the steps of the brief, or the usual ones in one; then a blow-out where hair is
 * stretched first, or the wait until it is nearly dry.
 */
export function prepParts(
  brief: Pick<Brief, 'prep' | 'head' | 'room'> & { readonly set: Pick<Brief['set'], 'startState'> },
  sections: readonly SectionPlan[],
): PrepPart[] {
  const { startState } = brief.set;
  const steps: PrepPart[] = brief.prep
    ? brief.prep.map(({ step, minutes, product }) => ({
        part: step,
        minutes,
        handsOn: prepSteps[step].handsOn,
        ...(product ? { product } : {}),
      }))
    : [{ part: null, minutes: handsOnTable.value.prepMin, handsOn: true }];
  if (startStates[startState].straightened > 0.5)
    steps.push({
      part: 'blow-out',
      minutes: handsOnTable.value.blowOutMin,
      handsOn: prepBySetting['blow-out'].handsOn,
    });
  if (startState === 'nearly-dry')
    steps.push({
      part: 'wait',
      minutes: nearlyDryAfterMin(brief.head, brief.room, sections),
      handsOn: prepBySetting.wait.handsOn,
    });
  return steps;
}

/** Hands-on minutes of preparing. */
export const prepWorkMin = (parts: readonly PrepPart[]): number =>
  parts.reduce((sum, part) => sum + (part.handsOn ? part.minutes : 0), 0);
