import type { DryingStep } from '../drying/dry-run-input';
import { air } from '../drying-methods/air';
import type { DryingMethod } from '../drying-methods/method';
import type { DryingWindow } from '../schedule/drying-day';
import type { Route } from './way';

/** Sittings that are asked of anybody, h (common practice). */
const BEFORE_DAY_H = [0.75, 1.25, 2] as const;
const BEFORE_NIGHT_H = [0.5, 1] as const;
const AFTER_NIGHT_H = [0.5, 0.75] as const;
/** A fan blows while other things are done. */
const FAN_H = 3;

/**
 * Ways to dry: open air by day and satin by night, and blown air before the rest or kept for last.
 *
 * @param hasNight whether the time there is holds a night
 */
export function routesFor(methods: readonly DryingMethod[], hasNight: boolean): Route[] {
  const rest = hasNight ? 'night' : 'air';
  const first = (method: DryingMethod, hours: number): Route => ({
    id: `${method.id}-${hours}>${rest}`,
    first: { method, hours },
    last: null,
  });
  const blown = methods.filter(({ isBlown, isManner }) => isBlown && !isManner);
  const fans = methods.filter(({ dryer }) => dryer === 'fan');
  return [
    { id: rest, first: null, last: null },
    ...fans.map((method) => first(method, FAN_H)),
    ...blown.flatMap((method) =>
      (hasNight ? BEFORE_NIGHT_H : BEFORE_DAY_H).map((hours) => first(method, hours)),
    ),
    ...(hasNight
      ? blown.flatMap((method) =>
          AFTER_NIGHT_H.map((hours): Route => ({
            id: `${rest}>${method.id}-${hours}`,
            first: null,
            last: { method, hours },
          })),
        )
      : []),
  ];
}

const QUARTER_H = 0.25;
const toQuarter = (hours: number) => Math.floor(hours / QUARTER_H) * QUARTER_H;

/**
 * The steps of a route in the time there is, as a plan asks for them: what is blown keeps its hours, a night is named
 * with the hours it has, and open air fills the rest. Null where there is not even time for what is blown.
 */
export function stepsOf(
  { first, last }: Route,
  { hours, nights, nightCover }: DryingWindow,
): DryingStep[] | null {
  const blownH = (first?.hours ?? 0) + (last?.hours ?? 0);
  const restH = hours - blownH;
  if (restH < (blownH > 0 ? 0 : QUARTER_H)) return null;
  const night = nights[0];
  const awakeH = night ? Math.max(0, night.fromH - (first?.hours ?? 0)) : 0;
  const asleepH = night
    ? Math.min(night.untilH, hours - (last?.hours ?? 0)) - Math.max(night.fromH, first?.hours ?? 0)
    : 0;
  const rest: DryingStep[] =
    night && toQuarter(asleepH) > 0
      ? [
          ...(toQuarter(awakeH) > 0 ? [{ method: air, hours: toQuarter(awakeH) }] : []),
          { method: nightCover, hours: toQuarter(asleepH) },
        ]
      : toQuarter(restH) > 0
        ? [{ method: air, hours: toQuarter(restH) }]
        : [];
  return [...(first ? [first] : []), ...rest, ...(last ? [last] : [])];
}

/** Hours somebody sits under blown air. */
export const sittingH = ({ first, last }: Route): number =>
  [first, last].reduce((sum, step) => sum + (step?.method.isBlown ? step.hours : 0), 0);
