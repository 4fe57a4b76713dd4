import type { PlanFile } from '../formats/plan-file';
import type { Half } from '../hair/half';
import { ZONE_LABEL, ZONES, type PerZone } from '../hair/zone';
import { ratingScales } from '../wear/rating-scales';
import type { DayEntry } from './day-entry';
import type { KeptMeasure } from './photo-measure';
import { saidOfDay, saidStretchOfDay, type Said } from './said-of-day';

/** One day of one thing: what was said of it, and what came. Missing figures stay missing. */
export interface SeriesDay {
  readonly day: number;
  readonly said: Said | null;
  /** By eye or tape, half by half. */
  readonly seen: Partial<Record<Half, number>>;
  /** Measured on a picture. */
  readonly photo: number | null;
}

/** Everything that was recorded of one thing, day by day. */
export interface DaySeries {
  readonly id: string;
  readonly label: string;
  readonly unit: 'of 10' | '%' | 'mm';
  readonly days: readonly SeriesDay[];
  /** Days with a figure that lay in what was said, and those that did not. */
  readonly held: { readonly inside: number; readonly outside: number };
}

/** A day of wear as it is kept. */
export type SeenDay = Pick<DayEntry, 'ratings' | 'visibleCm'> & { readonly day: number; readonly half: Half };

const HALF_IDS: readonly Half[] = ['whole', 'left', 'right'];

/** In what was said, told as finely as it is rated. */
const isWithin = (value: number, { low, high }: Said, grain: number): boolean =>
  value >= low - grain / 2 && value <= high + grain / 2;

function series(
  id: string,
  label: string,
  unit: DaySeries['unit'],
  lastDay: number,
  grain: number,
  of: (day: number) => Omit<SeriesDay, 'day'>,
): DaySeries {
  const days = Array.from({ length: lastDay + 1 }, (_, day) => ({ day, ...of(day) }));
  const told = days.flatMap(({ said, seen, photo }) =>
    said
      ? [...Object.values(seen), ...(photo === null ? [] : [photo])].map((value) =>
          isWithin(value, said, grain),
        )
      : [],
  );
  return {
    id,
    label,
    unit,
    days,
    held: { inside: told.filter(Boolean).length, outside: told.filter((one) => !one).length },
  };
}

/**
 * All that was recorded of a style, each thing against its forecast where it has one; what nobody recorded is left out.
 *
 * @param stretchedCm length pulled straight, by zone
 */
export function daySeries(
  forecast: Pick<PlanFile, 'result' | 'halves'>,
  seenDays: readonly SeenDay[],
  measures: readonly KeptMeasure[],
  stretchedCm: PerZone<number>,
): DaySeries[] {
  const lastDay = Math.max(
    forecast.result.byDay.at(-1)?.day ?? 0,
    0,
    ...seenDays.map(({ day }) => day),
    ...measures.map(({ day }) => day),
  );
  const seenOf = (day: number, valueOf: (entry: SeenDay) => number | undefined) =>
    Object.fromEntries(
      HALF_IDS.flatMap((half) => {
        const entry = seenDays.find((one) => one.day === day && one.half === half);
        const value = entry && valueOf(entry);
        return value === undefined ? [] : [[half, value]];
      }),
    );
  const photoOf = (day: number, isIt: (one: KeptMeasure) => boolean): number | null =>
    measures.findLast((one) => one.day === day && isIt(one))?.value ?? null;
  const rated = ratingScales.map(({ id, label }) =>
    series(id, label, 'of 10', lastDay, 0.5, (day) => ({
      said: saidOfDay(forecast, day)[id] ?? null,
      seen: seenOf(day, ({ ratings }) => ratings[id]),
      photo: id === 'definition' || id === 'frizz' ? photoOf(day, ({ measure }) => measure === id) : null,
    })),
  );
  const stretch = ZONES.map((zone) =>
    series(`stretch-${zone}`, `Stretch, ${ZONE_LABEL[zone]}`, '%', lastDay, 0.01, (day) => ({
      said: saidStretchOfDay(forecast, day, zone, stretchedCm[zone]),
      seen: seenOf(day, ({ visibleCm }) => {
        const visible = visibleCm[zone];
        return visible === undefined ? undefined : Math.min(1, visible / stretchedCm[zone]);
      }),
      photo: (() => {
        const percent = photoOf(day, (one) => one.measure === 'stretch' && one.zone === zone);
        return percent === null ? null : percent / 100;
      })(),
    })),
  );
  const curl = series('curl', 'Curl', 'mm', lastDay, 1, (day) => {
    const said = forecast.result.byDay.find((one) => one.day === day)?.curlDiameterMm;
    const ranges = forecast.result.ranges?.curlDiameterMm;
    const first = forecast.result.curlDiameterMm;
    return {
      said:
        said === undefined || !ranges
          ? null
          : { low: (said * ranges.p10) / first, middle: said, high: (said * ranges.p90) / first },
      seen: {},
      photo: photoOf(day, ({ measure }) => measure === 'curl'),
    };
  });
  return [...rated, ...stretch, curl].filter(({ days }) =>
    days.some(({ seen, photo }) => Object.keys(seen).length > 0 || photo !== null),
  );
}
