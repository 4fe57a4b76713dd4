import { createHmac } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { EMPTY_DAY, type DayEntry } from '../diary/day-entry';
import { DAY_DEED_IDS, WORN_WAY_IDS } from '../diary/day-words';
import { HALVES } from '../hair/half';
import { END_REASON_IDS } from '../wear/end-reasons';
import { RATING_IDS, type Ratings } from '../wear/rating-scales';
import {
  codeIn,
  codeParts,
  diaryCode,
  diaryIdOf,
  joinedParts,
  readDiaryCode,
  readPart,
  type HomeDay,
  type HomeDiary,
} from './diary-code';
import { diaryFates, fates, type HeldAgainst, type KnownDay } from './taken-in';

const KEY = 'a key of the studio';
const DAY = 86_400_000;
const T0 = Date.UTC(2026, 10, 20, 8);

const ratings: fc.Arbitrary<Ratings> = fc.dictionary(
  fc.constantFrom(...RATING_IDS),
  fc.integer({ min: 0, max: 20 }).map((half) => half / 2),
);
const homeDay: fc.Arbitrary<HomeDay> = fc.record({
  date: fc.integer({ min: -3, max: 12 }).map((day) => new Date(T0 + day * DAY).toISOString().slice(0, 10)),
  half: fc.constantFrom(...HALVES),
  atMs: fc.integer({ min: -3, max: 20_000 }).map((minute) => T0 + minute * 60_000),
  ratings,
  night: fc.option(fc.constantFrom(...NIGHT_CARE_IDS)),
  deeds: fc.subarray([...DAY_DEED_IDS]),
  redone: fc.option(
    fc.record({
      as: fc.constantFrom('twists' as const, 'knots' as const),
      count: fc.integer({ min: 1, max: 600 }),
    }),
  ),
  worn: fc.option(fc.constantFrom(...WORN_WAY_IDS)),
  note: fc.string({ unit: 'grapheme', maxLength: 60 }).map((note) => note.trim()),
});
const home: fc.Arbitrary<HomeDiary> = fc.record({
  id: fc.constant('d1'),
  by: fc.string({ unit: 'grapheme', maxLength: 20 }),
  days: fc.array(homeDay, { maxLength: 12 }),
  ends: fc.array(
    fc.record({
      half: fc.constantFrom(...HALVES),
      date: fc.constant('2026-11-24'),
      reason: fc.constantFrom(...END_REASON_IDS),
      wouldHaveGoneOn: fc.option(fc.boolean()),
    }),
    { maxLength: 2 },
  ),
});

const against = (over: Partial<HeldAgainst> = {}): HeldAgainst => ({
  takenDownAtMs: T0,
  nowMs: T0 + 6 * DAY,
  timeZone: 'UTC',
  isTrial: false,
  days: [],
  ends: [],
  ...over,
});
const aDay = (over: Partial<HomeDay> = {}): HomeDay => ({
  date: '2026-11-22',
  half: 'whole',
  atMs: T0 + 2 * DAY,
  ratings: { definition: 7 },
  night: null,
  deeds: [],
  redone: null,
  worn: null,
  note: '',
  ...over,
});
const known = (over: Partial<KnownDay> = {}): KnownDay => ({
  ...EMPTY_DAY,
  day: 2,
  half: 'whole',
  revision: 3,
  atMs: T0 + 2 * DAY + 1000,
  ratings: { frizz: 2 },
  visibleCm: { crown: 14 },
  marks: { frizz: [3] },
  ...over,
});
const fatesOf = (days: readonly HomeDay[], over: Partial<HeldAgainst> = {}) =>
  diaryFates({ id: 'd1', by: '', days, ends: [] }, against(over)).days;

describe('the code of a diary', () => {
  it('says again what was written, whatever that was', () => {
    fc.assert(
      fc.property(home, (diary) => {
        expect(readDiaryCode(diaryCode(diary, KEY), KEY)).toEqual({ ok: true, diary });
      }),
    );
  });

  it('is found in a message with other words, broken over lines, and joined from parts in any order', () => {
    fc.assert(
      fc.property(home, fc.integer({ min: 20, max: 70 }), fc.nat(), (diary, width, turn) => {
        const code = diaryCode(diary, KEY);
        const broken = code.replace(new RegExp(`(.{${width}})`, 'g'), '$1\n');
        expect(codeIn(`Here is my week:\n${broken}\nSee you on Friday`)).toBe(code);
        const parts = codeParts(code).map((part) => readPart(part)!);
        expect(parts.every((part) => part !== null)).toBe(true);
        const at = turn % parts.length;
        expect(joinedParts([...parts.slice(at), ...parts.slice(0, at)])).toBe(code);
        if (parts.length > 1) expect(joinedParts(parts.slice(1))).toBeNull();
      }),
    );
    expect(codeIn('no code here')).toBeNull();
    expect(readPart('https://example.test')).toBeNull();
  });

  it('a letter changed, another key, letters lost: refused', () => {
    fc.assert(
      fc.property(home, fc.nat(), (diary, place) => {
        const code = diaryCode(diary, KEY);
        const at = 5 + (place % (code.length - 5));
        fc.pre(code[at] !== '.');
        const other = code[at] === 'A' ? 'B' : 'A';
        expect(readDiaryCode(`${code.slice(0, at)}${other}${code.slice(at + 1)}`, KEY).ok).toBe(false);
        expect(readDiaryCode(code, 'another key')).toEqual({ ok: false, problem: 'changed' });
        expect(readDiaryCode(code.slice(0, -3), KEY)).toEqual({ ok: false, problem: 'damaged' });
      }),
    );
    for (const hostile of [
      '',
      'KSD1',
      'KSD1...',
      'KSD1.d1.!!.aaaaaaaaaaaa',
      `KSD1.d1.${'A'.repeat(50_000)}.AAAAAAAAAAAA`,
    ])
      expect(readDiaryCode(hostile, KEY).ok).toBe(false);
  });

  it('is signed as HMAC-SHA-256 is elsewhere (RFC 2104, Node’s own)', () => {
    const code = diaryCode({ id: 'd1', by: 'Ada', days: [aDay()], ends: [] }, KEY);
    const body = code.split('.').slice(1, 3).join('.');
    expect(code.split('.')[3]).toBe(createHmac('sha256', KEY).update(body).digest('base64url').slice(0, 12));
    expect(diaryIdOf(code)).toBe('d1');
  });

  it('a week with six ratings fits into one code for a camera', () => {
    const all = Object.fromEntries(RATING_IDS.map((id, i) => [id, i])) as Ratings;
    const days = Array.from({ length: 8 }, (_, i) =>
      aDay({
        date: `2026-11-2${i}`,
        ratings: all,
        night: 'gather-and-bonnet',
        deeds: ['misted'],
        worn: 'loose',
      }),
    );
    expect(codeParts(diaryCode({ id: 'abcdefgh', by: 'Keziah', days, ends: [] }, KEY))).toHaveLength(1);
  });
});

describe('what becomes of entries from home', () => {
  it('never doubles a day, and what was taken in is known the second time', () => {
    fc.assert(
      fc.property(home, fc.boolean(), (diary, isTrial) => {
        const first = diaryFates(diary, against({ isTrial }));
        const taken = first.days.filter(({ fate }) => fates[fate].isTaken);
        const places = taken.map(({ day, half }) => `${day}/${half}`);
        expect(new Set(places).size).toBe(places.length);
        const days = taken.map(({ day, half, entry, revision }): KnownDay => ({
          ...(entry as DayEntry),
          day: day!,
          half,
          revision: revision + 1,
          atMs: T0 + 6 * DAY,
        }));
        const again = diaryFates(diary, against({ isTrial, days }));
        expect(again.days.filter(({ fate }) => fates[fate].isTaken)).toEqual([]);
        for (const { day } of taken) expect(day! >= 0 && day! <= 6).toBe(true);
      }),
    );
  });

  it('of two entries the later stands; what is not asked at home stays as it is here', () => {
    const [later] = fatesOf([aDay({ atMs: T0 + 3 * DAY })], { days: [known()] });
    expect(later).toMatchObject({
      fate: 'later',
      revision: 3,
      entry: { ratings: { definition: 7 }, visibleCm: { crown: 14 }, marks: { frizz: [3] } },
    });
    expect(fatesOf([aDay({ atMs: T0 })], { days: [known()] })[0]!.fate).toBe('earlier');
    expect(fatesOf([aDay({ atMs: T0 }), aDay({ atMs: T0 + 1000 })]).map(({ fate }) => fate)).toEqual([
      'twice',
      'new',
    ]);
  });

  it('a phone whose clock runs ahead does not win by it', () => {
    const days = [known({ atMs: T0 + 6 * DAY + 1 })];
    expect(fatesOf([aDay({ atMs: T0 + 400 * DAY })], { days })[0]!.fate).toBe('earlier');
  });

  it.each([
    ['before', aDay({ date: '2026-11-19' })],
    ['future', aDay({ date: '2026-11-27' })],
    ['other-half', aDay({ half: 'left' })],
    ['empty', aDay({ ratings: {} })],
    ['unreadable', aDay({ date: '2026-02-31' })],
    ['unreadable', aDay({ ratings: { frizz: 10.5 } })],
  ] as const)('%s is left out', (fate, day) => {
    expect(fatesOf([day])[0]!.fate).toBe(fate);
  });

  it('midnight is that of the studio: a day that has begun there is no future', () => {
    const nowMs = Date.UTC(2026, 10, 26, 23, 30);
    const day = aDay({ date: '2026-11-27' });
    expect(fatesOf([day], { nowMs, timeZone: 'UTC' })[0]!.fate).toBe('future');
    expect(fatesOf([day], { nowMs, timeZone: 'Africa/Lagos' })[0]!.fate).toBe('new');
  });

  it('an end is recorded once; another one here stays', () => {
    const ends = [{ half: 'whole', date: '2026-11-24', reason: 'wash-day', wouldHaveGoneOn: false }] as const;
    const diary = { id: 'd1', by: '', days: [], ends };
    const [first] = diaryFates(diary, against()).ends;
    expect(first).toMatchObject({
      fate: 'new',
      outcome: { lastGoodDay: 4, reason: 'wash-day', wouldHaveGoneOn: false },
    });
    const here = { ...first!.outcome! };
    expect(diaryFates(diary, against({ ends: [here] })).ends[0]!.fate).toBe('same');
    expect(diaryFates(diary, against({ ends: [{ ...here, lastGoodDay: 3 }] })).ends[0]!.fate).toBe(
      'ended-otherwise',
    );
  });
});
