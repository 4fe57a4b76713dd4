import { fastened } from '../coefficients/fastened';
import { result } from '../coefficients/result';
import type { Reason } from './reason';
import { dewOver, startOf, type SetFacts } from './set-facts';

/**
 * What decides how much of the set stays, as factors that multiply.
 *
 * @param hairCount hairs in the section
 * @source set-geometry §7 (fitted and assumed)
 */
export function retentionFactors(facts: SetFacts, hairCount: number): Reason[] {
  const c = result.value;
  const { noun, label, coefficients } = facts.technique;
  return [
    {
      factor: 'technique',
      effect: coefficients.value.retentionCap,
      text: `what ${label.toLowerCase()} keeps at best`,
    },
    {
      factor: 'damp',
      effect: (1 - facts.damp) ** c.dryRetentionPower,
      text: 'still damp inside at takedown',
    },
    {
      factor: 'hold',
      effect: c.holdRetentionBase + (1 - c.holdRetentionBase) * Math.sqrt(facts.hold),
      text: facts.holdName ? `hold from the ${facts.holdName}` : 'no hold product',
    },
    { factor: 'start-state', effect: startOf(facts).retention, text: startOf(facts).phrase },
    {
      factor: 'section-size',
      effect: (1 + hairCount / c.sizeHairs) ** c.sizeRetention,
      text: `how much hair is in each ${noun[0]}`,
    },
    ...(facts.technique.bends
      ? [
          {
            factor: 'fastened',
            effect: fastened[facts.fastened].retention,
            text: fastened[facts.fastened].phrase,
          },
        ]
      : []),
    { factor: 'dew-point', effect: Math.exp(-c.dewRetention * dewOver(facts)), text: 'damp air outdoors' },
    {
      factor: 'overlap',
      effect: facts.fill > 1 ? 1 / (1 + c.overlapRetention * (Math.min(facts.fill, 6) - 1)) : 1,
      text: 'hair wound over hair on the tool',
    },
  ];
}

/** Share of the set that stays at takedown, 0 own pattern … 1 shape of the set. */
export const setRetention = (facts: SetFacts, hairCount: number): number =>
  retentionFactors(facts, hairCount).reduce((product, { effect }) => product * effect, 1);

/**
 * Share of the set at takedown still there after `day` days: 60 % on the median day.
 *
 * @example retentionLeft(7, 3.5) // => 0.36
 */
export const retentionLeft = (day: number, medianDays: number): number =>
  Math.exp((Math.log(result.value.leftOnMedianDay) * day) / medianDays);

/** Share of the hair's own curl still straightened by the start state after `day` days. */
export const straightenedLeft = (facts: SetFacts, day: number): number =>
  startOf(facts).straightened *
  Math.exp(-result.value.straightenedFades * day * (1 + result.value.straightenedFadesDew * dewOver(facts)));
