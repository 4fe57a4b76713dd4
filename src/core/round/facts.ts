import { hairlinePath, outlinePath } from '../parting/drawn-layout';
import { ZONES } from '../hair/zone';
import { lookOf, type RoundModel } from './model';
import { lookIn, type RoundState } from './state';

/** Lowest and highest of something over a head. */
export interface Reach {
  readonly low: number;
  readonly high: number;
}

/** What is told of a look over a head. */
export interface LookFacts {
  readonly isRated: boolean;
  readonly curlMm: Reach;
  readonly visibleCm: Reach;
  readonly definition: Reach;
  readonly frizz: Reach;
  readonly volume: Reach;
}

/** What is told of a head beside its picture, and drawn on its scalp. */
export interface RoundFacts {
  /** How many days are forecast. */
  readonly days: number;
  readonly hairCm: Reach;
  /** How many of which technique. */
  readonly sets: readonly {
    readonly label: string;
    readonly noun: readonly [string, string];
    readonly count: number;
  }[];
  readonly ropeMm: Reach;
  /** Patches that nothing was done with. */
  readonly leftOut: number;
  /** Outlines on the chart, as SVG paths. */
  readonly outlines: readonly string[];
  readonly hairline: string;
  readonly partPath: string | null;
}

/** Said with every picture. */
export const HONESTLY = 'Drawn to scale from the forecast; about a quarter either way.';

const reach = (values: readonly number[]): Reach => ({ low: Math.min(...values), high: Math.max(...values) });

/** What is told of a state; null in the set. */
export function lookFacts(model: RoundModel, state: RoundState): LookFacts | null {
  const shown = lookIn(model, state);
  if (!shown) return null;
  const zones = ZONES.filter((zone) => model.sections.some((section) => section.zone === zone));
  const looks = [lookOf(shown, 'left'), lookOf(shown, 'right')];
  const over = (key: 'visibleCm' | 'curlMm') =>
    reach(looks.flatMap((look) => zones.flatMap((zone) => look[key][zone] ?? [])));
  const of = (key: 'definition' | 'frizz' | 'volume') => reach(looks.map((look) => look[key]));
  return {
    isRated: shown.isRated,
    curlMm: over('curlMm'),
    visibleCm: over('visibleCm'),
    definition: of('definition'),
    frizz: of('frizz'),
    volume: of('volume'),
  };
}

/** What is told of a head. */
export function roundFacts(model: RoundModel): RoundFacts {
  const techniques = [...new Set(model.sections.map(({ technique }) => technique))];
  return {
    days: model.days.length,
    hairCm: reach(model.sections.map(({ lengthCm }) => lengthCm)),
    sets: techniques.map((technique) => ({
      label: technique.label,
      noun: technique.noun,
      count: model.sections.filter((section) => section.technique === technique).length,
    })),
    ropeMm: reach(model.sections.map(({ ropeMm }) => ropeMm)),
    leftOut: model.leftOut.length,
    outlines: [...model.sections, ...model.leftOut].map(({ outline }) => outlinePath(outline)),
    hairline: hairlinePath(),
    partPath: model.partLine && outlinePath(model.partLine).replace(/Z$/, ''),
  };
}
