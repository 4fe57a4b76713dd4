import type { Half } from '../hair/half';
import type { TakenDown } from '../plan/as-taken-down';
import type { RoundDay, RoundLook, RoundModel } from './model';

/** What was rated on a day; null where it was not. */
export interface RatedDay {
  readonly day: number;
  readonly half: Half;
  readonly definition: number | null;
  readonly frizz: number | null;
  readonly volume: number | null;
}

/** How a set came out: what its takedown made of the forecast, and what was rated since. */
export interface CameOut {
  readonly takenDown: Pick<TakenDown, 'result' | 'daysPresentable' | 'halves'> | null;
  readonly rated: readonly RatedDay[];
}

/** A look with what was rated of it in place of what was forecast. */
const ratedLook = (look: RoundLook, rated: RatedDay): RoundLook => ({
  ...look,
  definition: rated.definition ?? look.definition,
  frizz: rated.frizz ?? look.frizz,
  volume: rated.volume ?? look.volume,
});

/** A head whose days look as they were rated, where they were; size and length stay as they were forecast. */
export function asRated(model: RoundModel, rated: readonly RatedDay[]): RoundModel {
  const days = model.days.map((day): RoundDay => {
    const own = rated.filter((one) => one.day === day.day);
    if (own.length === 0) return day;
    const on = (side: 'left' | 'right') =>
      own.find(({ half }) => half === side) ?? own.find(({ half }) => half === 'whole');
    const [left, right] = [on('left'), on('right')];
    return {
      ...day,
      left: left ? ratedLook(day.left, left) : day.left,
      right: right ? ratedLook(day.right, right) : day.right,
      isRated: true,
    };
  });
  return { ...model, days };
}
