import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerBrief } from '../plan/answer-brief';
import { perZone } from '../hair/zone';
import { dayEntry, EMPTY_DAY, sameAgain, saysSomething, type DayEntry } from './day-entry';
import { dayProblem } from './day-problem';
import { RATING_IDS } from '../wear/rating-scales';
import { saidOfDay } from './said-of-day';
import { airWord, simulatedStation } from './weather-station';
import { wholeDays } from './whole-days';

const halfPoint = fc.integer({ min: 0, max: 20 }).map((halves) => halves / 2);
const ratings = fc.record(Object.fromEntries(RATING_IDS.map((id) => [id, halfPoint])), { requiredKeys: [] });
const messages = (raw: unknown) => {
  const read = dayEntry.safeParse(raw, { reportInput: true });
  return read.success ? [] : read.error.issues.map(({ message }) => message);
};

describe('an entry of a day', () => {
  it('may leave anything out, and then says nothing', () => {
    expect(saysSomething(EMPTY_DAY)).toBe(false);
    expect(dayEntry.parse({})).toEqual(EMPTY_DAY);
    for (const part of [
      { ratings: { frizz: 0 } },
      { night: 'nothing' },
      { note: 'x' },
      { marks: { itch: [3] } },
      { done: { deeds: ['misted'], redone: null, worn: null } },
      { visibleCm: { nape: 12 } },
      { weather: { temperatureC: 3, dewPointC: 1 } },
    ])
      expect(saysSomething(dayEntry.parse(part)), JSON.stringify(part)).toBe(true);
    expect(saysSomething(dayEntry.parse({ marks: { itch: [] } }))).toBe(false);
  });

  it('is refused in words that say what to change', () => {
    expect(messages({ ratings: { frizz: 11 } })).toEqual(['a rating must be 0 to 10; 11 was given']);
    expect(messages({ ratings: { frizz: 4.2 } })).toEqual(['a rating: whole or half points']);
    expect(messages({ weather: { temperatureC: 8, dewPointC: 9 } })).toEqual([
      'the dew point is never above the temperature',
    ]);
    expect(messages({ visibleCm: { crown: 400 } })[0]).toContain('1 to 120 cm');
    expect(messages({ note: 'x'.repeat(501) })).toEqual(['at most 500 letters']);
    expect(messages({ done: { redone: { as: 'twists', count: 0 } } })).toHaveLength(1);
  });

  it('the same again takes what lasts from one day to the next, and nothing that is new every day', () => {
    const full: DayEntry = dayEntry.parse({
      ratings: { frizz: 4 },
      marks: { frizz: [1] },
      night: 'scarf',
      done: { deeds: ['misted'], worn: 'loose' },
      weather: { temperatureC: 9, dewPointC: 8 },
      visibleCm: { crown: 18 },
      note: 'soft',
    });
    const { weather, visibleCm, note, ...lasting } = sameAgain(full);
    expect([weather, visibleCm, note]).toEqual([null, {}, '']);
    expect({ ...full, ...lasting }).toEqual(full);
  });

  it('is held against its set: hair hangs no longer than it is, sections are those it has', () => {
    const set = { stretchedCm: perZone(() => 20), sections: new Set([1, 2, 1002]) };
    expect(dayProblem(dayEntry.parse({ visibleCm: { crown: 20.5 } }), set)).toBeNull();
    expect(dayProblem(dayEntry.parse({ visibleCm: { nape: 21 } }), set)).toMatchObject({
      path: 'visibleCm.nape',
      message: expect.stringContaining('20 cm pulled straight cannot hang 21 cm') as string,
    });
    expect(dayProblem(dayEntry.parse({ marks: { itch: [1002] } }), set)).toBeNull();
    expect(dayProblem(dayEntry.parse({ marks: { itch: [3] } }), set)?.message).toBe(
      'this set has no section 3',
    );
  });
});

describe('days of a whole head', () => {
  it('are the mean of what was rated of their halves, and what was not rated stays blank', () => {
    fc.assert(
      fc.property(ratings, ratings, (left, right) => {
        const [day] = wholeDays([
          { day: 2, half: 'left', ratings: left },
          { day: 2, half: 'right', ratings: right },
        ]);
        for (const id of RATING_IDS) {
          const both = [left[id], right[id]].filter((value) => value !== undefined);
          if (both.length === 0) expect(day!.ratings[id]).toBeUndefined();
          else expect(day!.ratings[id]).toBeCloseTo(both.reduce((a, b) => a + b, 0) / both.length, 12);
        }
      }),
    );
    expect(
      wholeDays([
        { day: 3, half: 'whole', ratings: { frizz: 4 } },
        { day: 0, half: 'whole', ratings: {} },
      ]),
    ).toEqual([
      { day: 0, ratings: {} },
      { day: 3, ratings: { frizz: 4 } },
    ]);
  });
});

describe('what was said of a day', () => {
  it('has the range of the first day about the figure of its own, and says nothing beyond the forecast', () => {
    const answer = answerBrief(aBrief());
    if (!answer.ok) throw new Error('refused');
    const { value } = answer;
    const { result } = value;
    const first = saidOfDay(value, 0);
    expect(first.definition).toEqual({
      low: result.definition.p10,
      middle: result.byDay[0]!.definition,
      high: result.definition.p90,
    });
    const later = saidOfDay(value, 2).frizz!;
    expect(later.middle).toBe(result.byDay[2]!.frizz);
    expect(later.high - later.low).toBeLessThanOrEqual(result.frizz.p90 - result.frizz.p10 + 1e-9);
    expect(saidOfDay(value, 0).moisture).toBeUndefined();
    expect(saidOfDay(value, 400)).toEqual({});
  });

  it('is of its half where two halves have other layers', () => {
    const layers = [
      { role: 'gel', half: 'left' },
      { role: 'oil', half: 'right' },
    ] as const;
    const answer = answerBrief(
      aBrief({ brief: { parting: { trial: true } }, set: { sections: 24, layers: [...layers] } }),
    );
    if (!answer.ok) throw new Error('refused');
    const of = (half?: 'left' | 'right') => saidOfDay(answer.value, 0, half).definition!.middle;
    expect(of('left')).toBeGreaterThan(of());
    expect(of('right')).toBeLessThan(of());
  });

  it('is that of the head where both halves are done alike', () => {
    const answer = answerBrief(aBrief());
    if (!answer.ok) throw new Error('refused');
    expect(saidOfDay(answer.value, 1, 'left')).toEqual(saidOfDay(answer.value, 1));
  });
});

describe('the make-believe weather station', () => {
  it('tells the same of a day whenever it is asked, misses some, and never a dew point above the air', () => {
    const station = simulatedStation(7);
    const days = Array.from({ length: 365 }, (_, i) =>
      new Date(Date.UTC(2027, 0, 1 + i)).toISOString().slice(0, 10),
    );
    const told = days.map(station);
    expect(days.map(station)).toEqual(told);
    const heard = told.filter((weather) => weather !== null);
    expect(told.length - heard.length).toBeGreaterThan(5);
    expect(heard.length).toBeGreaterThan(300);
    for (const weather of heard) expect(messages({ weather })).toEqual([]);
    const mean = (from: number, to: number) => {
      const some = told.slice(from, to).filter((weather) => weather !== null);
      return some.reduce((sum, { temperatureC }) => sum + temperatureC, 0) / some.length;
    };
    expect(mean(180, 240) - mean(0, 60)).toBeGreaterThan(8);
  });

  it('calls air by what it does to a set', () => {
    expect([16, 8, -3].map((dewPointC) => airWord({ temperatureC: 20, dewPointC }))).toEqual([
      'Damp',
      'Mild',
      'Dry',
    ]);
  });
});
