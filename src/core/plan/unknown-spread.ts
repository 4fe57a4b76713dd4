import type { Brief } from '../brief/brief';
import { scalpAreaCm2, type Head } from '../hair/head';
import { EXTREME_Z, extremesOf } from '../hair/unknown';
import { beliefBefore, hoursToDry, readyToDry } from './drying-forecast';
import { dosesOf } from './dosing';
import { sectionsOn, type SectionPlan } from './section-forecasts';
import { resultOf } from './set-result';
import { zoneGroups } from './zone-groups';
import { slowRateOf } from '../drying/rate-belief';

/** Standard deviations of figures that come from parts of a head that nobody measured. */
export interface UnknownSpread {
  readonly lnDryH: number;
  readonly lnWork: number;
  readonly lnDays: number;
  readonly lnCurl: number;
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly stretch: number;
}

/** Everything was measured. */
export const ALL_KNOWN: UnknownSpread = {
  lnDryH: 0,
  lnWork: 0,
  lnDays: 0,
  lnCurl: 0,
  definition: 0,
  frizz: 0,
  volume: 0,
  stretch: 0,
};
const KEYS = Object.keys(ALL_KNOWN) as (keyof UnknownSpread)[];

/** Hair that is all but dry when it is set: how long it takes says nothing then, h. */
const LEAST_DRY_H = 0.25;

/** What a set comes to on a head, in the figures whose ranges hang on it. */
function figuresOn(brief: Brief, sections: readonly SectionPlan[]): UnknownSpread {
  const doses = dosesOf(brief, sections);
  const ready = readyToDry(
    brief,
    sections,
    doses.map(({ layer }) => layer),
  );
  const { definition, frizz, volume, days, byDay } = resultOf(
    brief,
    zoneGroups(brief, sections),
    doses,
    0,
    0,
  );
  const first = byDay[0]!;
  return {
    lnDryH: Math.log(
      Math.max(LEAST_DRY_H, hoursToDry(ready.uncertain, slowRateOf(beliefBefore(ready), 0.5))),
    ),
    lnWork: Math.log(sections.reduce((sum, { installMin }) => sum + installMin, 0)),
    lnDays: Math.log(days.p50),
    lnCurl: Math.log(first.curlDiameterMm),
    definition: definition.value,
    frizz: frizz.value,
    volume: volume.value,
    stretch: first.stretch,
  };
}

/**
 * How far figures may be off because parts of the head are not known: the whole forecast at either end of what is
 * common, part by part, added up in squares.
 */
export function unknownSpread(brief: Brief, sections: readonly SectionPlan[]): UnknownSpread {
  const { head } = brief;
  if (head.notKnown.length === 0) return ALL_KNOWN;
  const scalp = scalpAreaCm2(head.circumferenceCm);
  const on = (other: Head) => {
    const asked = { ...brief, head: other };
    return figuresOn(asked, sectionsOn(asked, sections, scalpAreaCm2(other.circumferenceCm) / scalp));
  };
  const halves = head.notKnown.map((field) => {
    const [low, high] = extremesOf(field, head).map(on) as [UnknownSpread, UnknownSpread];
    return (key: keyof UnknownSpread) => (high[key] - low[key]) / (2 * EXTREME_Z);
  });
  return Object.fromEntries(
    KEYS.map((key) => [key, Math.hypot(...halves.map((half) => half(key)))]),
  ) as Record<keyof UnknownSpread, number>;
}

/** A brief whose pace and drying rate are as unsure as what is not known of the head makes them. */
export const withUnknown = (brief: Brief, { lnDryH, lnWork }: UnknownSpread): Brief => ({
  ...brief,
  dryingRate: { ...brief.dryingRate, lnSd: Math.hypot(brief.dryingRate.lnSd, lnDryH) },
  pace: { ...brief.pace, lnSd: Math.hypot(brief.pace.lnSd, lnWork) },
});
