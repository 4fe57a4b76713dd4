import { judged as rules } from '../coefficients/evidence';
import { Z_90 } from '../stats/normal';
import type { ChanceCorrection } from '../stats/logit';
import type { Correctable } from './corrections';
import {
  bandCorrection,
  chanceCorrection,
  coverageOf,
  crps,
  reliabilityOf,
  type Coverage,
  type JudgedBand,
  type Reliability,
} from './judged';
import type { LearntSet } from './learning';
import type { SetEvidence } from './set-evidence';

/** What is forecast as a band. */
export const BAND_KINDS = ['days', 'definition', 'stretch', 'pace'] as const;
export type BandKind = (typeof BAND_KINDS)[number];

/** One forecast that was given, and what came of it. */
export interface JudgedSet extends JudgedBand {
  readonly setId: string;
  readonly startedAtMs: number;
  readonly middle: number;
  readonly modelVersion: string;
}

/** How one kind of forecast has held. */
export interface BandRightness {
  readonly kind: BandKind;
  readonly sets: readonly JudgedSet[];
  readonly coverage: Coverage;
  /** How far apart the ends of a band are, in the middle of them: sharper is better, as long as they hold. */
  readonly sharpness: number;
  /** Continuous ranked probability score, on the scale that is learnt on; null without any. */
  readonly score: number | null;
  readonly byVersion: readonly { readonly version: string; readonly held: number; readonly known: number }[];
  /** Times the width that would have held; null while there are too few. */
  readonly width: number | null;
}

/** How "dry by then" has held. */
export interface DryRightness {
  readonly sets: number;
  readonly chances: readonly { readonly setId: string; readonly chance: number; readonly came: boolean }[];
  /** Of those that were promised to be surely dry: how many were, and how many we aimed for. */
  readonly promised: { readonly sets: number; readonly was: number; readonly aimed: number };
  readonly reliability: Reliability | null;
  readonly correction: ChanceCorrection | null;
}

/** Days and minutes are judged on their logarithm. */
const ON_LN: readonly BandKind[] = ['days', 'pace'];

function judgedOf(
  kind: BandKind,
  { days, definition, stretch, install }: SetEvidence,
): (JudgedBand & { middle: number }) | null {
  if (kind === 'days')
    return days && !days.isRecalled
      ? {
          low: days.low,
          middle: days.middle,
          high: days.high,
          came: days.last,
          isAtLeast: days.how !== 'ended',
        }
      : null;
  return kind === 'definition' ? definition : kind === 'stretch' ? stretch : install;
}

/** Distance of what came from the middle, in standard deviations of the band. */
function zOf(kind: BandKind, { low, middle, high, came, isAtLeast }: JudgedSet): number | null {
  if (isAtLeast) return null;
  const on = (value: number) => (ON_LN.includes(kind) ? Math.log(Math.max(0.5, value)) : value);
  const sd = (on(high) - on(low)) / (2 * Z_90);
  return sd > 0 ? (on(came) - on(middle)) / sd : null;
}

const median = (values: readonly number[]): number =>
  values.length === 0 ? 0 : [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** How the bands of one kind have held, over the sets that say so. */
export function bandRightness(kind: BandKind, all: readonly LearntSet[]): BandRightness {
  const sets = [...all]
    .sort((a, b) => a.startedAtMs - b.startedAtMs)
    .flatMap(({ id, startedAtMs, seen }): JudgedSet[] => {
      // A forecast of a set that was written down afterwards was no forecast.
      const own = seen.isEnteredLater ? null : judgedOf(kind, seen);
      if (!own) return [];
      const { low, middle, high, came, isAtLeast = false } = own;
      return [
        { setId: id, startedAtMs, modelVersion: seen.modelVersion, low, middle, high, came, isAtLeast },
      ];
    });
  const zs = sets.flatMap((set) => zOf(kind, set) ?? []);
  const scores = zs.map((z) => crps(0, 1, z));
  const versions = [...new Set(sets.map(({ modelVersion }) => modelVersion))];
  return {
    kind,
    sets,
    coverage: coverageOf(sets),
    sharpness: median(sets.map(({ low, high }) => high - low)),
    score: scores.length === 0 ? null : scores.reduce((sum, score) => sum + score, 0) / scores.length,
    byVersion: versions.map((version) => {
      const own = coverageOf(sets.filter(({ modelVersion }) => modelVersion === version));
      return { version, held: own.held, known: own.total - own.unknown };
    }),
    width: zs.length >= rules.value.fewestForRecalibration ? bandCorrection(zs) : null,
  };
}

/** Chances from which "surely dry" is said to have been promised. */
const PROMISED = 0.8;

/** How the chances to be dry have held, over the sets where hands felt in time. */
export function dryRightness(all: readonly LearntSet[]): DryRightness {
  const chances = all.flatMap(({ id, seen: { dry } }) => (dry ? [{ setId: id, ...dry }] : []));
  const promised = chances.filter(({ chance }) => chance >= PROMISED);
  return {
    sets: chances.length,
    chances,
    promised: {
      sets: promised.length,
      was: promised.filter(({ came }) => came).length,
      aimed: promised.reduce((sum, { chance }) => sum + chance, 0),
    },
    reliability: reliabilityOf(chances),
    correction: chances.length >= rules.value.fewestForRecalibration ? chanceCorrection(chances) : null,
  };
}

/** What may be put right: bands only where the log's own spreads do not stand in for it already. */
export const isCorrectable = (
  kind: Correctable,
  isFitted: Readonly<Partial<Record<string, boolean>>>,
): boolean => kind === 'dry' || !isFitted[kind];
