import { result } from '../coefficients/result';
import { Z_90 } from '../stats/normal';
import type { Spread } from '../stats/spread';
import { asLongWords, learntSd } from '../brief/learnt';
import { mergeReasons } from './merge';
import type { Reason } from './reason';
import { afterOf, dewOver, handsOf, nightOf, startOf, unevenPart, type SetFacts } from './set-facts';

/** Days presentable, from the first takedown, each reason as a factor. */
export interface DaysPresentable extends Spread {
  readonly why: readonly Reason[];
}

/** The same before it is put in days: ln of the median and its spread, reasons as ln factors. */
export interface LnDays {
  readonly mean: number;
  readonly sd: number;
  readonly why: readonly Reason[];
}

/** Factors within this share of 1 say nothing to a stylist. */
const SMALLEST_SHOWN = 0.02;

/**
 * How many days the style stays presentable: log-normal about the technique's usual life.
 *
 * @source set-geometry §11 (common practice and assumption)
 */
export function lnDaysPresentable(facts: SetFacts): LnDays {
  const c = result.value;
  const t = facts.technique.coefficients.value;
  const learnt = facts.learnt.days;
  const terms: readonly (readonly [factor: string, ln: number, text: string])[] = [
    [
      'section-size',
      c.sizeLnDays * facts.sizeDoublings,
      `${facts.technique.noun[1]} ${facts.sizeDoublings > 0 ? 'large' : 'small'} for a coil this size`,
    ],
    [
      'hold',
      c.holdLnDays * (facts.hold - c.usualHold),
      facts.holdName ? `hold from the ${facts.holdName}` : 'no hold product',
    ],
    ['damp', c.dampLnDays * facts.damp, 'still damp inside at takedown'],
    [
      'separating',
      c.separatingLnDays * Math.log2(facts.separations),
      `each ${facts.technique.noun[0]} split into ${facts.separations}`,
    ],
    [
      'fluffing',
      c.fluffingLnDays * (facts.fluffing - 1),
      facts.fluffing > 1 ? 'roots fluffed a lot' : 'roots left alone',
    ],
    ['hands', handsOf(facts).lnDays, handsOf(facts).phrase],
    ...afterOf(facts).map(({ lnDays, phrase }) => ['afterwards', lnDays, phrase] as const),
    ['night', nightOf(facts).lnDays, nightOf(facts).phrase],
    ['start-state', startOf(facts).lnDays, startOf(facts).phrase],
    ['dew-point', c.dewLnDays * dewOver(facts), 'damp air outdoors'],
    ['evenness', c.evennessLnDays * unevenPart(facts), 'sections uneven in size'],
    ...(learnt
      ? [['learnt', learnt.shift, asLongWords(learnt, 'lasts', Math.exp(learnt.shift))] as const]
      : []),
  ];
  return {
    mean: Math.log(t.medianDays) + terms.reduce((sum, [, ln]) => sum + ln, 0),
    sd: learntSd(learnt, t.lnDaysSd, facts.daysWidth),
    why: terms.map(([factor, effect, text]) => ({ factor, effect, text })),
  };
}

/** Days of a whole head, from the parts of it that are set alike. */
export function daysPresentable(
  parts: readonly { readonly share: number; readonly days: LnDays }[],
): DaysPresentable {
  const mean = parts.reduce((sum, { share, days }) => sum + share * days.mean, 0);
  const sd = parts.reduce((sum, { share, days }) => sum + share * days.sd, 0);
  const p50 = Math.exp(mean);
  const band = Math.exp(Z_90 * sd);
  return {
    p10: p50 / band,
    p50,
    p90: p50 * band,
    why: mergeReasons(parts.map(({ share, days }) => ({ share, why: days.why })))
      .map((reason) => ({ ...reason, effect: Math.exp(reason.effect) }))
      .filter((reason) => Math.abs(Math.log(reason.effect)) >= SMALLEST_SHOWN),
  };
}
