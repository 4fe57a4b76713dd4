import { result } from '../coefficients/result';
import { dewOver, startOf, type SetFacts } from './set-facts';

/**
 * Share of the set that stays at takedown, 0 own pattern … 1 shape of the set.
 *
 * @param hairCount hairs in the section
 * @source set-geometry §7 (fitted and assumed)
 */
export function setRetention(facts: SetFacts, hairCount: number): number {
  const c = result.value;
  const dry = (1 - facts.damp) ** c.dryRetentionPower;
  const hold = c.holdRetentionBase + (1 - c.holdRetentionBase) * Math.sqrt(facts.hold);
  const size = (1 + hairCount / 5000) ** c.sizeRetention;
  const dew = Math.exp(-c.dewRetention * dewOver(facts));
  const fit = facts.fill > 1 ? 1 / (1 + c.overlapRetention * (Math.min(facts.fill, 6) - 1)) : 1;
  return (
    facts.technique.coefficients.value.retentionCap * dry * hold * startOf(facts).retention * size * dew * fit
  );
}

/** Share of the set at takedown still there after `day` days: 60 % on the median day. */
export const retentionLeft = (day: number, medianDays: number): number =>
  Math.exp((Math.log(0.6) * day) / medianDays);

/** Share of the hair's own curl still straightened by the start state after `day` days. */
export const straightenedLeft = (facts: SetFacts, day: number): number =>
  startOf(facts).straightened * Math.exp(-0.12 * day * (1 + 0.06 * dewOver(facts)));
