import type { Level } from '../drying/nodes';
import { LEVELS } from '../drying/nodes';
import type { RateBelief, TimesByRate } from '../drying/rate-belief';
import { beliefOnCourse } from './on-course';
import type { PlanFile } from '../formats/plan-file';
import { perZone, type PerZone } from '../hair/zone';
import type { Quadrant } from '../parting/quadrant';
import type { ScheduleBlock } from '../schedule/backward';
import type { Sleep } from '../schedule/sleep';
import type { HairInSet } from '../techniques/bundle';
import { sectionTimes, wholeHeadTimes } from './drying-forecast';
import { MODEL_VERSION, type Forecast } from './forecast';
import type { SectionPlan } from './section-forecasts';

/** What the screens show of a forecast, as plain data that crosses to a worker and back. */
export interface ForecastView {
  readonly plan: PlanFile;
  /** The clipped-away quarter that each section waits in, in working order. */
  readonly quadrants: readonly Quadrant[];
  /** Planned minutes of each section, in working order. */
  readonly sectionMin: readonly number[];
  readonly dryTimes: {
    /** What is believed of the drying rate of this head on this day. */
    readonly belief: RateBelief;
    readonly whole: TimesByRate;
    readonly zones: PerZone<Readonly<Record<Level, TimesByRate>>>;
  };
  readonly sureAfterH: number;
  readonly blocks: readonly ScheduleBlock[];
  readonly dryingWindowH: number | null;
  /** Nights kept free of work, as far as they touch the blocks. */
  readonly nights: readonly Sleep[];
  /** The section that fills its rod most; null without rods. */
  readonly fullestBundle: HairInSet | null;
}

function fullestBundle(sections: readonly SectionPlan[]): HairInSet | null {
  const onRods = sections.filter((section) => section.form.fit !== null);
  return (
    onRods.reduce<SectionPlan | null>(
      (fullest, section) => (fullest && fullest.form.fit!.fill >= section.form.fit!.fill ? fullest : section),
      null,
    )?.bundle ?? null
  );
}

/** Boils a forecast down to what is shown. */
export function forecastView(forecast: Forecast): ForecastView {
  const { table } = forecast.drying;
  return {
    plan: forecast.plan,
    quadrants: forecast.sections.map((section) => section.quadrant),
    sectionMin: forecast.sections.map((section) => section.installMin),
    dryTimes: {
      belief: forecast.drying.belief,
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
    dryingWindowH: forecast.schedule?.window.hours ?? null,
    nights: forecast.schedule?.nights ?? [],
    fullestBundle: fullestBundle(forecast.sections),
  };
}

/** A set as far as its belief goes. */
interface Believed {
  readonly dryingBelief: RateBelief | null;
  readonly modelVersion: string;
}

/** What is forecast of the drying of a head. */
export type DryTimes = ForecastView['dryTimes'];

/**
 * A view that starts from the belief a set was begun with, where that was kept. A belief bends the times of the model
 * that it was drawn with, and of no other.
 *
 * @param planned times of the drying that was planned, where it dries in another way; else null
 */
export function withBelief(
  view: ForecastView,
  { dryingBelief, modelVersion }: Believed,
  planned: DryTimes | null,
): ForecastView {
  if (!dryingBelief || modelVersion !== MODEL_VERSION) return view;
  const belief = planned ? beliefOnCourse(dryingBelief, planned, view.dryTimes) : dryingBelief;
  return { ...view, dryTimes: { ...view.dryTimes, belief } };
}
