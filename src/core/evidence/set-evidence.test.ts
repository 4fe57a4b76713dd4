import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { EMPTY_DAY, type DayEntry } from '../diary/day-entry';
import { halfOutcome } from '../diary/outcome';
import type { BriefInput } from '../formats/brief';
import { answerBrief } from '../plan/answer-brief';
import { runEvent } from '../run/run-event';
import { runState } from '../run/run-state';
import { MINUTE_MS } from '../units/time';
import { NO_FACTS } from './causes';
import { faultFacts, recordedSymptoms, type FaultSource } from './fault-facts';
import { evidenceOfSet, setEvidence, type SetSeen } from './set-evidence';

const SECTIONS = 6;
/** A set whose days say everything that a day can. */
type Told = SetSeen & { readonly wearDays: readonly ReturnType<typeof day>[] };

function seen(brief: BriefInput, change: Partial<Told> = {}): Told {
  const answer = answerBrief({ ...brief, draws: 0 });
  if (!answer.ok) throw new Error(answer.errors.map(({ message }) => message).join());
  const forecast = answer.value;
  const plannedMin = forecast.handsOn.installMin.p50 / SECTIONS;
  const events = Array.from({ length: SECTIONS }, (_, i) =>
    runEvent(`${i}`, 'section-done', (i + 1) * 1.2 * plannedMin * MINUTE_MS, {
      sectionNumber: i + 1,
      by: i < 4 ? 'Odile' : 'Bryn',
    }),
  );
  return {
    brief,
    forecast,
    asTakenDown: null,
    modelVersion: 'x',
    isEnteredLater: false,
    layerProductIds: [null, 'gel'],
    takenG: null,
    sections: Array.from({ length: SECTIONS }, (_, i) => ({ number: i + 1, plannedMin })),
    run: runState(events, SECTIONS),
    wearDays: [],
    outcome: null,
    halfOutcomes: [],
    ...change,
  };
}
const day = (n: number, entry: Partial<DayEntry>, half: 'whole' | 'left' | 'right' = 'whole') => ({
  ...EMPTY_DAY,
  ...entry,
  day: n,
  half,
});
const ended = (lastGoodDay: number, reason: string, more = {}) =>
  halfOutcome.parse({ half: 'whole', lastGoodDay, reason, ...more });
const brief = aBrief({ set: { layers: [{ role: 'leave-in' }, { role: 'gel' }] } });

describe('what can be learnt from a set', () => {
  it.each([
    ['frizz', {}, 'ended'],
    ['got-wet', {}, 'wet'],
    ['booking', { wouldHaveGoneOn: true }, 'cut'],
    ['booking', { wouldHaveGoneOn: false }, 'ended'],
    ['sore', {}, 'ended'],
    ['unknown', {}, 'cut'],
  ] as const)('given up for %s %j: %s', (reason, more, how) => {
    expect(evidenceOfSet(seen(brief, { outcome: ended(3, reason, more) })).days).toMatchObject({
      last: 3,
      how,
    });
  });

  it('still worn it is good up to the last rated day, and nothing where none is', () => {
    const days = [
      day(0, { ratings: { definition: 7 } }),
      day(2, { ratings: { frizz: 3 } }),
      day(4, { night: 'scarf' }),
    ];
    expect(evidenceOfSet(seen(brief, { wearDays: days })).days).toMatchObject({ last: 2, how: 'worn' });
    expect(evidenceOfSet(seen(brief)).days).toBeNull();
  });

  it('holds a first day against the trade: what was learnt then is taken off again', () => {
    const days = [day(1, { ratings: { definition: 7 }, visibleCm: { crown: 18 } })];
    const plain = evidenceOfSet(seen(brief, { wearDays: days }));
    const shift = { shift: 0.8, spread: 0.8, sets: 3, worth: 3 };
    const knowing = (of: object) =>
      ({ ...brief, learnt: { techniques: { 'two-strand-twist': of } } }) as BriefInput;
    const learnt = knowing({ definition: shift, pace: shift, stretch: { ...shift, shift: 4 } });
    const known = evidenceOfSet(seen(learnt, { wearDays: days }));
    const outcome = ended(4, 'frizz');
    const knownDays = evidenceOfSet(seen(knowing({ days: { ...shift, shift: 0.2 } }), { outcome })).days!;
    const plainDays = evidenceOfSet(seen(brief, { outcome })).days!;
    expect(known.definition!.middle).toBeCloseTo(plain.definition!.middle + 0.8, 1);
    expect(known.definition!.trade).toBeCloseTo(plain.definition!.trade, 1);
    expect(knownDays.middle / plainDays.middle).toBeCloseTo(Math.exp(0.2), 2);
    expect(knownDays.trade / plainDays.trade).toBeCloseTo(1, 2);
    expect(known.install!.trade).toBeCloseTo(plain.install!.trade, 0);
    expect(known.stretch!.trade).toBeCloseTo(plain.stretch!.trade, 0);
    expect(plain.install!.came / plain.install!.trade).toBeCloseTo(1.2, 1);
    expect(plain.stylist).toBe('Odile');
    expect(setEvidence.parse(JSON.parse(JSON.stringify(known)))).toEqual(known);
  });

  it('a first look after the first day tells nothing of it', () => {
    const days = [day(3, { ratings: { definition: 7 }, visibleCm: { crown: 18 } })];
    expect(evidenceOfSet(seen(brief, { wearDays: days }))).toMatchObject({ definition: null, stretch: null });
  });

  it('written down later, or told from memory, it counts for days alone', () => {
    const days = [day(0, { ratings: { definition: 7 } })];
    const outcome = ended(5, 'frizz');
    expect(evidenceOfSet(seen(brief, { wearDays: days, outcome, isEnteredLater: true }))).toMatchObject({
      definition: null, install: null, rate: null, dry: null, stylist: null, days: { last: 5 },
    }); // prettier-ignore
    const recalled = { best: null, worst: null, night: null };
    const told = evidenceOfSet(seen(brief, { wearDays: days, outcome: ended(5, 'frizz', { recalled }) }));
    expect(told).toMatchObject({ definition: null, halves: null, days: { isRecalled: true } });
  });

  it('tells choices as they came: nights, damp air, hold, dose', () => {
    const weather = (dewPointC: number) => ({ temperatureC: 25, dewPointC });
    const days = [
      day(0, { night: 'nothing', weather: weather(9) }),
      day(1, { night: 'scarf', weather: weather(17) }),
    ];
    const { factors } = evidenceOfSet(seen(brief, { wearDays: days }));
    expect(factors).toMatchObject({ nightShare: 0.5, dewPointC: 17, sections: 18, startState: 3 });
    expect(factors.hold).toEqual({ role: 'gel', productId: 'gel' });
    expect(factors.doseRatio).toBeCloseTo(1, 1);
  });

  it('pairs the days on which both halves were rated, up to the first that was given up', () => {
    const trial = aBrief({
      set: {
        layers: [
          { role: 'gel', half: 'left' },
          { role: 'mousse', half: 'right' },
        ],
      },
      brief: { parting: { trial: true } },
    });
    const days = [0, 1, 2].flatMap((n) => [
      day(n, { ratings: { definition: 8 - n } }, 'left'),
      ...(n === 1 ? [] : [day(n, { ratings: { definition: 6 - n } }, 'right')]),
    ]);
    const halves = [ended(2, 'frizz', { half: 'left' }), ended(1, 'frizz', { half: 'right' })];
    expect(
      evidenceOfSet(seen(trial, { wearDays: days, halfOutcomes: halves, layerProductIds: [null, null] }))
        .halves,
    ).toEqual({
      left: [{ role: 'gel', productId: null, grams: null }],
      right: [{ role: 'mousse', productId: null, grams: null }],
      pairs: [{ day: 0, left: 8, right: 6 }],
      gaveUpFirst: 'right',
    });
  });
});

describe('what the record says of a set that fell short', () => {
  const source = (set: Told, more: Partial<FaultSource> = {}): FaultSource => ({
    ...set,
    forecast: set.forecast as FaultSource['forecast'],
    run: runState([], SECTIONS),
    seen: evidenceOfSet(set),
    weeksSinceTrim: null,
    deepConditionedBefore: false,
    ...more,
  });

  it('reads facts, and lets a person say what only a person can', () => {
    const wet = aBrief({
      set: { startState: 'wet', endsMethod: 'twisted', layers: [{ role: 'gel' }] },
      wear: { separations: 3, hands: 'bare' },
    });
    const set = seen(wet, {
      wearDays: [day(0, { night: 'nothing' }), day(1, { night: 'nothing' })],
      layerProductIds: [null],
    });
    expect(faultFacts(source(set, { weeksSinceTrim: 30 }), { tension: 7, mixFailed: true })).toMatchObject({
      rootsStretched: false,
      endsHeld: false,
      nightsMissed: 2,
      hadDryHands: true,
      separations: 3,
      weeksSinceTrim: 30,
      gelWithoutCream: true,
      setWetUnstretched: true,
      deepConditioned: false,
      tension: 7,
      mixFailed: true,
      newAtScalp: null,
      chanceDry: null,
    });
    expect(Object.keys(faultFacts(source(set), {})).sort()).toEqual(Object.keys(NO_FACTS).sort());
  });

  it('ticks what is noted already', () => {
    const set = seen(brief, {
      outcome: ended(1, 'frizz'),
      wearDays: [day(0, { marks: { frizz: [1, 2], itch: [3] } })],
    });
    const faults = runState([runEvent('f', 'fault', 1, { note: 'damp-inside', sectionNumber: 1 })], SECTIONS);
    expect(recordedSymptoms(source(set, { run: faults }), SECTIONS)).toEqual({
      'damp-inside': 'present',
      'frizz-all': 'present',
      'lost-by-two': 'present',
      scalp: 'present',
    });
    expect(recordedSymptoms(source(seen(brief)), SECTIONS)).toEqual({});
  });
});
