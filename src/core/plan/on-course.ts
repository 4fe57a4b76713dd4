import type { Level } from '../drying/nodes';
import { onOtherCourse, type RateBelief, type TimesByRate } from '../drying/rate-belief';
import type { PerZone } from '../hair/zone';

/** Times of every place of a head, on one course of drying. */
interface CourseTimes {
  readonly zones: PerZone<Readonly<Record<Level, TimesByRate>>>;
}

/** A belief about the times of one course of drying, about those of another. */
export const beliefOnCourse = (belief: RateBelief, before: CourseTimes, after: CourseTimes): RateBelief =>
  onOtherCourse(
    belief,
    (zone, level) => before.zones[zone][level],
    (zone, level) => after.zones[zone][level],
  );
