import { thresholds } from '../coefficients/thresholds';
import { remembered } from '../remembered';
import {
  RADIUS_CM_PER_CIRCUMFERENCE_CM,
  sphereDistance,
  sphereVector,
  type ChartPoint,
} from '../sphere/crown-chart';
import { polygonCentroid } from '../sphere/polygon';
import { coefficientOfVariation } from '../stats/variation';
import { quantiles } from '../stats/quantile';
import type { LaidSection, Layout } from './layout';
import type { LoadOf } from './load';
import { dividesAside } from './pattern';

/** How even a parting is, in figures a stylist can act on. */
export interface Evenness {
  /** Coefficient of variation of hair a section against the sizes that were asked for. */
  readonly loadCv: number;
  /** Long over short side: the middle section's and the longest one's. */
  readonly aspect: { readonly median: number; readonly mean: number; readonly most: number };
  /** Farthest a section is from the mirror image of another, cm; null where no mirror is meant. */
  readonly mirrorCm: number | null;
  /** Sections under 60 % of the mean or, lanes apart, more than three times as long as wide, by number. */
  readonly odd: readonly number[];
}

const TURN = Math.PI / 30;

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/**
 * Long over short side of a section on the head: its smallest bounding box where it is laid flat about its centre.
 *
 * @source parting-map §5; Lambert azimuthal equal-area projection about the centroid
 */
export const aspectOf = remembered((outline: readonly ChartPoint[]): number => {
  const centre = sphereVector(polygonCentroid(outline));
  const pole: Vector = Math.abs(centre[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
  const east: Vector = [
    pole[1] * centre[2] - pole[2] * centre[1],
    pole[2] * centre[0] - pole[0] * centre[2],
    pole[0] * centre[1] - pole[1] * centre[0],
  ];
  const length = Math.hypot(...east);
  const u: Vector = [east[0] / length, east[1] / length, east[2] / length];
  const v: Vector = [
    centre[1] * u[2] - centre[2] * u[1],
    centre[2] * u[0] - centre[0] * u[2],
    centre[0] * u[1] - centre[1] * u[0],
  ];
  const flat = outline.map((point) => {
    const on = sphereVector(point);
    const scale = Math.sqrt(2 / (1 + dot(on, centre)));
    return [scale * dot(on, u), scale * dot(on, v)] as const;
  });
  let best = { area: Infinity, aspect: 1 };
  for (let turn = 0; turn < Math.PI / 2; turn += TURN) {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const [x, y] of flat) {
      const a = x * cos + y * sin;
      const b = y * cos - x * sin;
      if (a < left) left = a;
      if (a > right) right = a;
      if (b < low) low = b;
      if (b > high) high = b;
    }
    const [width, height] = [right - left, high - low];
    if (width * height < best.area) {
      best = { area: width * height, aspect: Math.max(width / height, height / width) };
    }
  }
  return best.aspect;
});

/** Farthest a mirrored centre is from the nearest centre, R. */
function mirrorError(sections: readonly LaidSection[]): number {
  return sections.reduce((most, { centroid }) => {
    const mirrored = { x: -centroid.x, y: centroid.y };
    const nearest = sections.reduce(
      (least, other) =>
        Math.min(least, Math.hypot(other.centroid.x - mirrored.x, other.centroid.y - mirrored.y)),
      Infinity,
    );
    if (nearest <= most) return most;
    const twin = sections.find(
      (other) => Math.hypot(other.centroid.x - mirrored.x, other.centroid.y - mirrored.y) === nearest,
    )!;
    return Math.max(most, sphereDistance(twin.centroid, mirrored));
  }, 0);
}

/**
 * Evenness of a layout.
 *
 * @param load what sections are meant to hold equal amounts of
 * @source parting-map §5 and §8
 */
export function evennessOf({ recipe, sections }: Layout, load: LoadOf): Evenness {
  const loads = sections.map(({ outline }) => load(outline));
  const mean = loads.reduce((sum, each) => sum + each, 0) / loads.length;
  const aspects = sections.map(({ outline }) => aspectOf(outline));
  const isLanes = recipe.pattern.startsWith('lanes');
  const isMirrored = recipe.exclude.length === 0 && !dividesAside(recipe.part.kind);
  return {
    loadCv: coefficientOfVariation(loads),
    aspect: {
      median: quantiles(aspects, [0.5])[0]!,
      mean: aspects.reduce((sum, aspect) => sum + aspect, 0) / aspects.length,
      most: Math.max(...aspects),
    },
    mirrorCm: isMirrored
      ? mirrorError(sections) * RADIUS_CM_PER_CIRCUMFERENCE_CM * recipe.circumferenceCm
      : null,
    odd: sections
      .filter(
        (_, i) =>
          loads[i]! < thresholds.value.smallSection * mean ||
          (!isLanes && aspects[i]! > thresholds.value.longSection),
      )
      .map(({ number }) => number),
  };
}
