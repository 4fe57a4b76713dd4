import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerBrief } from '../plan/answer-brief';
import { stretchedOf } from './day-problem';
import { daySeries, type SeenDay } from './day-series';
import type { KeptMeasure } from './photo-measure';

const answered = answerBrief(aBrief());
if (!answered.ok) throw new Error('refused');
const forecast = answered.value;
const lengths = stretchedOf(aBrief().head.stretchedLengthCm);
const day = (over: Partial<SeenDay> = {}): SeenDay => ({
  day: 0,
  half: 'whole',
  ratings: {},
  visibleCm: {},
  ...over,
});
const measure = (over: Partial<KeptMeasure> = {}): KeptMeasure => ({
  id: 'm',
  photoId: null,
  day: 0,
  measure: 'definition',
  zone: null,
  value: 6,
  sigma: 1,
  worse: [],
  ...over,
});
const of = (seen: readonly SeenDay[], measures: readonly KeptMeasure[] = []) =>
  daySeries(forecast, seen, measures, lengths);

describe('what was recorded, day by day', () => {
  it('leaves out what nobody recorded, and missing days stay missing', () => {
    expect(of([])).toEqual([]);
    const found = of([day({ day: 2, ratings: { definition: 5, hold: 7 } })]);
    expect(found.map(({ id }) => id)).toEqual(['definition', 'hold']);
    expect(found[0]!.days[1]).toMatchObject({ seen: {}, photo: null });
    expect(found[0]!.days[2]!.seen).toEqual({ whole: 5 });
    // Hold is not forecast: nothing was said that it could be held against.
    expect(found[1]!.days.every(({ said }) => said === null)).toBe(true);
    expect(found[1]!.held).toEqual({ inside: 0, outside: 0 });
  });

  it('counts what came inside and outside of what was said, as finely as it is rated', () => {
    const { p10, p90 } = forecast.result.definition;
    const [inside] = of([day({ ratings: { definition: Math.round(2 * p10) / 2 } })]);
    expect(inside!.held).toEqual({ inside: 1, outside: 0 });
    const [outside] = of([day({ ratings: { definition: p90 > 9 ? 0 : 10 } })]);
    expect(outside!.held).toEqual({ inside: 0, outside: 1 });
  });

  it('tells halves apart, and a picture from the eye', () => {
    const [definition] = of(
      [day({ half: 'left', ratings: { definition: 8 } }), day({ half: 'right', ratings: { definition: 5 } })],
      [measure(), measure({ measure: 'curl', value: 9 })],
    );
    expect(definition!.days[0]).toMatchObject({ seen: { left: 8, right: 5 }, photo: 6 });
  });

  it('stretch is a share of the zone’s own length, never more than all of it, against a range that follows the day', () => {
    const found = of(
      [day({ day: 1, visibleCm: { crown: lengths.crown * 1.02 } })],
      [measure({ measure: 'stretch', zone: 'nape', value: 71 })],
    );
    expect(found.map(({ id }) => id)).toEqual(['stretch-crown', 'stretch-nape']);
    expect(found[0]!.days[1]!.seen.whole).toBe(1);
    expect(found[1]!.days[0]!.photo).toBe(0.71);
    for (const { said } of found[0]!.days)
      if (said) expect(said.low <= said.middle && said.middle <= said.high && said.high <= 1).toBe(true);
  });
});
