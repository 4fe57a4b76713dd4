import type { PlanFile } from '@/core/formats/plan-file';
import { formatMinutes, minuteGrain } from '@/ui/format';

/** One part of the work, in minutes as they are shown. */
export interface WorkPart {
  readonly name: string;
  readonly minutes: number;
}

/** A sum of work and its parts, rounded so that the parts as shown add up to the sum as shown. */
export interface WorkSum {
  readonly minutes: number;
  readonly parts: readonly WorkPart[];
}

/** Rounds a sum, then its parts so that they make it up: what is left over goes where most was cut off. */
export function roundedSum(parts: readonly { readonly name: string; readonly min: number }[]): WorkSum {
  const sum = parts.reduce((total, { min }) => total + min, 0);
  const grain = minuteGrain(sum);
  const whole = Math.max(1, Math.round(sum / grain));
  const shares = parts.map(({ min }) => min / grain);
  const given = shares.map(Math.floor);
  const left = whole - given.reduce((total, minutes) => total + minutes, 0);
  const order = shares
    .map((share, i) => ({ i, rest: share - given[i]! }))
    .sort((a, b) => b.rest - a.rest)
    .map(({ i }) => i);
  for (let k = 0; k < left; k++) given[order[k % order.length]!]! += 1;
  return {
    minutes: whole * grain,
    parts: parts
      .map(({ name }, i) => ({ name, minutes: given[i]! * grain }))
      .filter(({ minutes }) => minutes > 0),
  };
}

/** Hands on the hair: setting, undoing, separating. */
export const handsOnOf = ({ handsOn }: Pick<PlanFile, 'handsOn'>): WorkSum =>
  roundedSum([
    { name: 'set', min: handsOn.installMin.p50 },
    { name: 'undo', min: handsOn.takedownMin },
    { name: 'separate', min: handsOn.separatingMin },
  ]);

/** All the work of a set, from washing on: hands-on time with preparing before it. */
export function workOf({ handsOn }: Pick<PlanFile, 'handsOn'>): WorkSum {
  const set = handsOnOf({ handsOn });
  const prep = roundedSum([{ name: 'wash and prep', min: handsOn.prepMin }]);
  return { minutes: set.minutes + prep.minutes, parts: [...prep.parts, ...set.parts] };
}

/** "set 1 h 30 + undo 15 min + separate 10 min". */
export const partWords = ({ parts }: WorkSum): string =>
  parts.map(({ name, minutes }) => `${name} ${formatMinutes(minutes)}`).join(' + ');
