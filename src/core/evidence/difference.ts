import { Matrix, pseudoInverse } from 'ml-matrix';
import { factorRules, type Spreads } from '../coefficients/evidence';
import { censoredRegression, type CensoredRow } from '../stats/censored-regression';
import { normalCdf, Z_90 } from '../stats/normal';
import { lnInterval } from './days-knowledge';
import { factorsOf, type Factor } from './factors';
import { daysSeen, type LearntSet } from './learning';

/** What is compared: how long sets last, or how defined they come out. */
export type DifferenceOutcome = 'days' | 'definition';

/** Why nothing is claimed of a factor yet. */
export type NotYet =
  | { readonly kind: 'sets'; readonly more: number }
  | { readonly kind: 'heads'; readonly more: number }
  | { readonly kind: 'ended'; readonly more: number }
  | { readonly kind: 'levels'; readonly more: number }
  | { readonly kind: 'sign' }
  | { readonly kind: 'small' }
  | { readonly kind: 'entangled' };

/** What is known of one factor. */
export interface FactorFinding {
  readonly id: string;
  readonly factor: Omit<Factor, 'read'>;
  readonly status: 'never-changed' | 'claimed' | 'worth-a-trial' | 'unclear' | 'always-together';
  /** Of one step of it: a factor on days, or points of definition. */
  readonly effect: number;
  /** 80 %. */
  readonly low: number;
  readonly high: number;
  /** Chance that it goes that way at all. */
  readonly sureOfSign: number;
  /** What it always changed together with, by label. */
  readonly together: readonly string[];
  readonly notYet: readonly NotYet[];
}

/** What of a studio's choices goes with longer life, or cleaner curls. */
export interface Difference {
  readonly outcome: DifferenceOutcome;
  readonly sets: number;
  readonly heads: number;
  readonly ended: number;
  /** What is claimed first, by how much it is. */
  readonly findings: readonly FactorFinding[];
}

const LEAST_SD = 1e-6;
/** Fewer sets than this leave nothing to work out. */
const LEAST_SETS = 4;

interface Row {
  readonly set: LearntSet;
  readonly head: number;
  readonly low: number;
  readonly high: number;
}

/** A set's distance from the trade, what is compared left out of that. */
function ends({ seen }: LearntSet, outcome: DifferenceOutcome): readonly [number, number] | null {
  if (outcome === 'definition') {
    if (!seen.definition) return null;
    const { came, trade, ofChoices } = seen.definition;
    return [came - trade + ofChoices, came - trade + ofChoices];
  }
  const days = daysSeen(seen);
  const interval = days && lnInterval(days);
  if (!interval) return null;
  const ofChoices = seen.days!.ofChoices;
  return [interval[0] + ofChoices, interval[1] + ofChoices];
}

/** A factor's values about each head's own mean: what is not known lies on it. */
function centred(values: readonly (number | null)[], heads: readonly number[], headCount: number): number[] {
  const sums = Array.from({ length: headCount }, () => ({ sum: 0, count: 0 }));
  values.forEach((value, i) => {
    if (value === null) return;
    sums[heads[i]!]!.sum += value;
    sums[heads[i]!]!.count += 1;
  });
  return values.map((value, i) => {
    const { sum, count } = sums[heads[i]!]!;
    return value === null || count === 0 ? 0 : value - sum / count;
  });
}

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * b[i]!, 0);

/** Times that more, and less, of a factor was had inside heads that had both. */
function levels(off: readonly number[], heads: readonly number[]): number {
  const varied = new Set(heads.filter((_, i) => Math.abs(off[i]!) > LEAST_SD));
  const count = (sign: number) =>
    off.filter((value, i) => varied.has(heads[i]!) && sign * value > LEAST_SD).length;
  return Math.min(count(1), count(-1));
}

/** Whether two factors moved together within heads: nearly a line, or agreeing in every set. */
const isTogether = (a: readonly number[], b: readonly number[]): boolean =>
  Math.abs(dot(a, b)) / Math.sqrt(dot(a, a) * dot(b, b)) >= factorRules.value.together;

/**
 * What made the difference: each set against its own head's others, so that what differs between heads cannot pass for
 * what was chosen on them.
 *
 * @param spreads of the outcome: how heads and sets differ
 * @param nameOf a hold product by its key
 * @source evidence §4; claims under its rules
 */
export function differenceOf(
  sets: readonly LearntSet[],
  outcome: DifferenceOutcome,
  spreads: Spreads,
  nameOf: (key: string) => string,
): Difference {
  const c = factorRules.value;
  const ids = new Map<string, number>();
  const rows = sets.flatMap((set): Row[] => {
    const between = ends(set, outcome);
    if (!between) return [];
    if (!ids.has(set.headId)) ids.set(set.headId, ids.size);
    return [{ set, head: ids.get(set.headId)!, low: between[0], high: between[1] }];
  });
  const heads = rows.map(({ head }) => head);
  const ended = rows.filter(({ high }) => high !== Infinity).length;
  const all = factorsOf(
    rows.map(({ set }) => set.seen),
    nameOf,
  ).map((factor) => {
    const off = centred(
      rows.map(({ set }) => factor.read(set.seen)),
      heads,
      ids.size,
    );
    const freedom = Math.max(1, rows.length - ids.size);
    return { factor, off, sd: Math.sqrt(dot(off, off) / freedom), levels: levels(off, heads) };
  });
  const changed = rows.length < LEAST_SETS ? [] : all.filter(({ sd }) => sd > LEAST_SD);
  const x = rows.map((_, i) => changed.map(({ off, sd }) => off[i]! / sd));
  const fit =
    changed.length === 0
      ? null
      : censoredRegression(
          rows.map(({ head, low, high }, i): CensoredRow => ({ stratum: head, x: x[i]!, low, high })),
          {
            interceptSd: outcome === 'days' ? c.interceptSd : c.interceptSd * (spreads.head / 0.3),
            stratumSd: spreads.head,
            effectSd: outcome === 'days' ? c.effectSdDays : c.effectSdPoints,
            noiseSd: spreads.set,
            noiseLnSd: 0.35,
          },
        );
  const correlations = new Matrix(
    changed.map((a) =>
      changed.map((b) => dot(a.off, b.off) / Math.sqrt(dot(a.off, a.off) * dot(b.off, b.off))),
    ),
  );
  const inflation = changed.length > 1 ? pseudoInverse(correlations).diagonal() : changed.map(() => 1);
  const isOfOne = ids.size === 1;
  const missing: NotYet[] = [
    ...(rows.length < (isOfOne ? c.fewestSetsOfOne : c.fewestSets)
      ? [{ kind: 'sets', more: (isOfOne ? c.fewestSetsOfOne : c.fewestSets) - rows.length } as const]
      : []),
    ...(!isOfOne && ids.size < c.fewestHeads
      ? [{ kind: 'heads', more: c.fewestHeads - ids.size } as const]
      : []),
    ...(ended < c.fewestEnded ? [{ kind: 'ended', more: c.fewestEnded - ended } as const] : []),
  ];
  const findings = all.map((own): FactorFinding => {
    const { read: _, ...factor } = own.factor;
    const at = changed.indexOf(own);
    const base = { id: own.factor.id, factor };
    if (at < 0 || !fit)
      return {
        ...base,
        status: 'never-changed',
        effect: outcome === 'days' ? 1 : 0,
        low: outcome === 'days' ? 1 : 0,
        high: outcome === 'days' ? 1 : 0,
        sureOfSign: 0.5,
        together: [],
        notYet: missing,
      };
    const scale = own.factor.step / own.sd;
    const beta = fit.effects[at]! * scale;
    const reach = Z_90 * fit.standardErrors[at]! * scale;
    const as = (value: number) => (outcome === 'days' ? Math.exp(value) : value);
    const sureOfSign = normalCdf(Math.abs(fit.effects[at]!) / fit.standardErrors[at]!);
    const together = changed.filter((other) => other !== own && isTogether(own.off, other.off));
    const isLarge =
      outcome === 'days' ? Math.abs(Math.exp(beta) - 1) >= c.leastDays : Math.abs(beta) >= c.leastPoints;
    const notYet: NotYet[] = [
      ...missing,
      ...(own.levels < c.fewestOfLevel
        ? [{ kind: 'levels', more: c.fewestOfLevel - own.levels } as const]
        : []),
      ...(sureOfSign < c.sureOfSign ? [{ kind: 'sign' } as const] : []),
      ...(isLarge ? [] : [{ kind: 'small' } as const]),
      ...(inflation[at]! >= c.mostInflation ? [{ kind: 'entangled' } as const] : []),
    ];
    return {
      ...base,
      status:
        together.length > 0
          ? 'always-together'
          : notYet.length === 0
            ? 'claimed'
            : sureOfSign >= c.worthTrying && isLarge
              ? 'worth-a-trial'
              : 'unclear',
      effect: as(beta),
      low: as(beta - reach),
      high: as(beta + reach),
      sureOfSign,
      together: together.map(({ factor: other }) => other.label),
      notYet,
    };
  });
  const order = ['claimed', 'worth-a-trial', 'always-together', 'unclear', 'never-changed'];
  const size = ({ effect }: FactorFinding) => Math.abs(outcome === 'days' ? Math.log(effect) : effect);
  return {
    outcome,
    sets: rows.length,
    heads: ids.size,
    ended,
    findings: findings.sort((a, b) => order.indexOf(a.status) - order.indexOf(b.status) || size(b) - size(a)),
  };
}
