import { suggestion } from '../coefficients/suggestion';
import { techniqueOf, type TechniqueId } from '../techniques';
import { clamp } from '../units/clamp';
import { capitalised, plural } from '../words/words';

/** A set on this head that is over. */
export interface PastSet {
  readonly technique: TechniqueId;
  /** Last day it was still good. */
  readonly daysLasted: number;
  /** Middle of what was forecast for it. */
  readonly daysForecast: number;
  /** It ended by itself; false where it was cut short while still good. */
  readonly hasEnded: boolean;
}

/** What a head's own sets say of a technique. */
export interface Recorded {
  /** Above 0 where they outlasted what was forecast for them. */
  readonly points: number;
  readonly text: string;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const days = (value: number) => plural(Math.max(1, Math.round(value)), 'day');

/** A set cut short says something only where it had lasted longer than was expected of it by then. */
const tells = ({ daysLasted, daysForecast, hasEnded }: PastSet) => hasEnded || daysLasted > daysForecast;

function recordedOf(sets: readonly PastSet[], id: TechniqueId): Recorded {
  const c = suggestion.value;
  const { noun } = techniqueOf(id);
  const lasted = mean(sets.map(({ daysLasted }) => daysLasted));
  const expected = mean(sets.map(({ daysForecast }) => daysForecast));
  const doublings = mean(
    sets.map(({ daysLasted, daysForecast }) =>
      Math.log2(Math.max(c.leastRecordedDays, daysLasted) / Math.max(c.leastRecordedDays, daysForecast)),
    ),
  );
  const trusted = sets.length / (sets.length + c.recordPrior);
  const points = clamp(c.recordDoubling * trusted * doublings, -c.school, c.school);
  const seen = `${days(lasted)} where ${Math.max(1, Math.round(expected))} were expected (${plural(sets.length, 'set')})`;
  return {
    points,
    text:
      points > 0
        ? `${capitalised(noun[1])} have outlasted what was expected of them on her: ${seen}.`
        : `${capitalised(noun[1])} have fallen short on her: ${seen}.`,
  };
}

/**
 * What a head's own finished sets say for and against each technique: how long they lasted against their forecast,
 * believed the more the more of them there are.
 */
export function recordOf(past: readonly PastSet[]): ReadonlyMap<TechniqueId, Recorded> {
  const telling = past.filter(tells);
  const ids = [...new Set(telling.map(({ technique }) => technique))];
  return new Map(
    ids.map((id) => [
      id,
      recordedOf(
        telling.filter(({ technique }) => technique === id),
        id,
      ),
    ]),
  );
}
