import type { Level } from '../drying/nodes';
import { LEVELS } from '../drying/nodes';
import type { TimesByRate } from '../drying/rate-belief';
import type { PlanFile } from '../formats/plan-file';
import { perZone, type PerZone } from '../hair/zone';
import type { ScheduleBlock } from '../schedule/backward';
import type { Bundle } from '../techniques/bundle';
import type { Look } from '../wear/look';
import { sectionTimes, wholeHeadTimes } from './drying-forecast';
import type { Forecast, WearDayForecast } from './forecast';
import type { SectionPlan } from './section-forecasts';

/** What the screens show of a forecast, as plain data that crosses to a worker and back. */
export interface ForecastView {
  readonly plan: PlanFile;
  readonly byDay: readonly WearDayForecast[];
  readonly frizz: Look;
  readonly volume: Look;
  /** Planned minutes of each section, in working order. */
  readonly sectionMin: readonly number[];
  readonly dryTimes: {
    readonly whole: TimesByRate;
    readonly zones: PerZone<Readonly<Record<Level, TimesByRate>>>;
  };
  readonly sureAfterH: number;
  readonly blocks: readonly ScheduleBlock[];
  readonly dryingWindowH: number | null;
  readonly prepMin: number;
  /** The section that fills its rod most; null without rods. */
  readonly fullestBundle: Bundle | null;
}

function fullestBundle(sections: readonly SectionPlan[]): Bundle | null {
  const onRods = sections.filter((section) => section.form.fit !== null);
  return (
    onRods.reduce<SectionPlan | null>(
      (fullest, own) => (fullest && fullest.form.fit!.fill >= own.form.fit!.fill ? fullest : own),
      null,
    )?.bundle ?? null
  );
}

/** Boils a forecast down to what is shown. */
export function forecastView(forecast: Forecast): ForecastView {
  const { table } = forecast.drying;
  return {
    plan: forecast.plan,
    byDay: forecast.byDay,
    frizz: forecast.frizz,
    volume: forecast.volume,
    sectionMin: forecast.sections.map((section) => section.installMin),
    dryTimes: {
      whole: wholeHeadTimes(table),
      zones: perZone(
        (zone) =>
          Object.fromEntries(LEVELS.map((level) => [level, sectionTimes(table, zone, level)])) as Record<
            Level,
            TimesByRate
          >,
      ),
    },
    sureAfterH: forecast.drying.sureAfterH,
    blocks: forecast.schedule?.blocks ?? [],
    dryingWindowH: forecast.schedule?.dryingWindowH ?? null,
    prepMin: forecast.prepMin,
    fullestBundle: fullestBundle(forecast.sections),
  };
}
