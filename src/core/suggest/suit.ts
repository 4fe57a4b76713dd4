import { suggestion } from '../coefficients/suggestion';
import type { FactLevels } from './facts';
import { features, type FeatureId } from './features';
import { RULES } from './rules';
import type { CountEffect, PrepEffect, Rule } from './rules/rule';
import type { Axis, Way } from './way';

/** One row that speaks for or against a choice. */
export interface SuitLine {
  readonly rule: Rule;
  readonly points: number;
}

/** How well one choice suits a head. */
export interface Suit {
  readonly points: number;
  /** The row that rules it out; null where none does. */
  readonly out: Rule | null;
  readonly lines: readonly SuitLine[];
}

/** Strongest, half of the second, a quarter of each further. */
function combined(points: readonly number[]): number {
  const { second, further } = suggestion.value;
  return [...points]
    .sort((a, b) => b - a)
    .reduce((sum, value, i) => sum + value * (i === 0 ? 1 : i === 1 ? second : further), 0);
}

/**
 * What rows for and against a choice come to: each side for itself, the second of a kind counting half; a row of a
 * condition, or of safety, halves the traits that speak against it.
 *
 * @example suitPoints([2, 1].map((points) => ({ points, rank: 'trait' }))) // => 2.5
 */
export function suitPoints(
  rows: readonly { readonly points: number; readonly rank: Rule['rank'] }[],
): number {
  const outranks = (sign: 1 | -1) =>
    rows.some(({ points, rank }) => rank !== 'trait' && Math.sign(points) === sign);
  const side = (sign: 1 | -1) =>
    combined(
      rows
        .filter(({ points }) => Math.sign(points) === sign)
        .map(
          ({ points, rank }) =>
            Math.abs(points) *
            (rank === 'trait' && outranks(sign === 1 ? -1 : 1) ? suggestion.value.againstCondition : 1),
        ),
    );
  return side(1) - side(-1);
}

/** The rows that hold of a head, and how well choices suit it by them. */
export class SuitTable {
  private readonly rules: readonly { readonly rule: Rule; readonly level: number }[];

  constructor(levels: FactLevels) {
    this.rules = RULES.flatMap((rule) => (levels[rule.fact] > 0 ? [{ rule, level: levels[rule.fact] }] : []));
  }

  /** How well a way suits in one choice. */
  of(axis: Axis, way: Way): Suit {
    let out: Rule | null = null;
    const lines: SuitLine[] = [];
    for (const { rule, level } of this.rules) {
      if (rule.axis !== axis) continue;
      if (rule.out?.some((id) => features[id].is(way))) out ??= rule;
      // A row says one thing of a choice: what speaks most for it, and what speaks most against it.
      let [most, least] = [0, 0];
      for (const [id, points] of Object.entries(rule.effects)) {
        const feature = features[id as FeatureId];
        if (!feature || feature.axis !== axis || !feature.is(way)) continue;
        most = Math.max(most, points);
        least = Math.min(least, points);
      }
      for (const points of [most, least]) if (points !== 0) lines.push({ rule, points: points * level });
    }
    return {
      out,
      lines,
      points: suitPoints(lines.map(({ rule, points }) => ({ points, rank: rule.rank }))),
    };
  }

  /** Points of one effect by itself: more or fewer sections, a step of preparing, a layer that rules may add. */
  effect(id: CountEffect | PrepEffect | FeatureId): Suit {
    const lines = this.rules.flatMap(({ rule, level }): SuitLine[] => {
      const points = rule.effects[id];
      return points === undefined ? [] : [{ rule, points: points * level }];
    });
    return {
      out: null,
      lines,
      points: suitPoints(lines.map(({ rule, points }) => ({ points, rank: rule.rank }))),
    };
  }
}
