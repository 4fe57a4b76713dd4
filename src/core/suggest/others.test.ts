import { describe, expect, it } from 'vitest';
import { suggested, wishOf } from '../../../tests/support/wishes';
import { dryingMethods } from '../drying-methods';
import { alternatives, bestAmong, isSameIn } from './alternatives';
import { differentIn, MOST_OPTIONS } from './different';
import { gentleOf, stackSoftness } from './figures';
import { usefulToMeasure } from './most-useful';
import { chanceWords } from './reasons';
import { kindOf, likeness, wayKey } from './search';
import { optionOf } from './option';
import { questionsAbout, whyNot, whyNotLabel } from './why-not';
import { AXES } from './way';
import { briefOfPick } from './to-brief';
import { readWish } from './read-wish';

const asked = suggested(
  wishOf(
    { stretchedLengthCm: 26, naturalCoilDiameterMm: 9, shrinkage: 0.55 },
    { wants: ['defined', 'little-work'] },
  ),
);
const { wish, found, draft } = asked;
const { search } = found;

describe('others beside a draft', () => {
  it('are few, differ in kind, and each is clearly better at something', () => {
    expect(found.picks.length).toBeGreaterThan(1);
    expect(found.picks.length).toBeLessThanOrEqual(MOST_OPTIONS);
    expect(new Set(found.picks.map(({ way }) => kindOf(way))).size).toBe(found.picks.length);
    for (const [i, one] of found.picks.entries())
      for (const other of found.picks.slice(i + 1)) expect(likeness(one.way, other.way)).toBeLessThan(0.6);
    for (const { weighed, score } of found.picks.slice(1)) {
      expect(score).toBeLessThanOrEqual(draft.score);
      const better = [
        weighed.days - draft.weighed.days >= 0.6,
        weighed.definition - draft.weighed.definition >= 0.4,
        weighed.volume - draft.weighed.volume >= 0.5,
        weighed.stretch - draft.weighed.stretch >= 0.05,
        draft.weighed.handsOnMin - weighed.handsOnMin >= 20,
        weighed.soft - draft.weighed.soft >= 0.7,
        weighed.gentle - draft.weighed.gentle >= 0.7,
        weighed.chance! - draft.weighed.chance! >= 0.06,
      ];
      expect(better).toContain(true);
    }
  });

  it('a way is wholly like itself, and nothing is offered twice', () => {
    expect(likeness(draft.way, draft.way)).toBe(1);
    expect(differentIn(draft, [draft, draft], search.asked)).toEqual([draft]);
    expect(new Set(found.kinds.map(({ way }) => wayKey(way))).size).toBe(found.kinds.length);
  });
});

describe('what else could be chosen', () => {
  it('in every choice the draft itself is among them, and nothing beats it by more than a hair', () => {
    for (const axis of AXES) {
      const among = alternatives(axis, draft.way, search);
      expect(
        among.some((way) => isSameIn(axis, way, draft.way)),
        axis,
      ).toBe(true);
      const best = bestAmong(among, search);
      expect(best!.score, axis).toBeGreaterThanOrEqual(draft.score - 1e-9);
      expect(best!.score - draft.score, axis).toBeLessThan(0.05);
    }
  });

  it('everything that was not chosen can be asked about, by a name of its own', () => {
    const questions = questionsAbout(draft, search);
    const labels = questions.map((question) => `${question.kind} ${whyNotLabel(question, draft)}`);
    expect(new Set(labels).size).toBe(labels.length);
    expect(labels).toContain('role butter');
    expect(questions.some(({ kind }) => kind === 'sections')).toBe(true);
    expect(labels).not.toContain(`technique ${draft.way.set.technique}`);
  });

  it('each question of roles, starts and counts is answered in whole sentences', () => {
    for (const question of questionsAbout(draft, search).filter(({ kind }) => kind !== 'technique')) {
      const { text, instead } = whyNot(wish, search, draft, question);
      expect(text, JSON.stringify(question)).toMatch(/^[A-Z0-9].*\.$/);
      if (instead) expect(instead.score).toBeLessThanOrEqual(draft.score + 0.05);
    }
  });

  it('a chance is said as a colleague says it', () => {
    expect([0, 0.04, 0.42, 0.86, 0.97].map(chanceWords)).toEqual([
      'hardly ever dry',
      'hardly ever dry',
      'dry 4 times in 10',
      'dry 9 times in 10',
      'surely dry',
    ]);
  });
});

describe('what would help most to measure', () => {
  it('ranks what is not known by what it would change; what is known is not in it', () => {
    const useful = usefulToMeasure(wish, draft);
    expect(useful.map(({ field }) => field).sort()).toEqual([
      'circumferenceCm',
      'densityPerCm2',
      'porosity',
      'strandDiameterUm',
    ]);
    const worth = useful.map((one) => one.worth);
    expect(worth).toEqual([...worth].sort((a, b) => b - a));
    for (const { days, chance } of useful) {
      expect(days[0]).toBeLessThanOrEqual(draft.weighed.days);
      expect(days[1]).toBeGreaterThanOrEqual(draft.weighed.days);
      expect(chance![0]).toBeLessThanOrEqual(chance![1]);
    }
    // A strand decides the products and how they hold; the girth of a head hardly anything.
    expect(worth[useful.findIndex(({ field }) => field === 'strandDiameterUm')]!).toBeGreaterThan(
      worth[useful.findIndex(({ field }) => field === 'circumferenceCm')]!,
    );
  });
});

describe('soft and gentle', () => {
  const { levels } = search.asked;
  const softness = (...ids: string[]) =>
    stackSoftness(
      {
        id: '',
        layers: ids.map((role) => ({
          role: role as 'gel',
          productId: null,
          name: null,
          isToBuy: false,
          leftG: null,
          minorPerG: null,
        })),
      },
      levels,
      false,
    );

  it('gel casts hardest; cream under it softens the cast; cream alone is softest (common practice)', () => {
    expect(softness('leave-in', 'gel')).toBeLessThan(softness('leave-in', 'setting-lotion'));
    expect(softness('leave-in', 'setting-lotion')).toBeLessThan(softness('leave-in', 'mousse'));
    expect(softness('leave-in', 'cream', 'gel')).toBeGreaterThan(softness('leave-in', 'gel'));
    expect(softness('leave-in', 'cream')).toBeGreaterThan(softness('leave-in', 'cream', 'mousse'));
  });

  it('heat, blow-outs and plaited roots are harder on hair than a night under satin', () => {
    const gentle = (part: object, isSlept = true) => gentleOf({ ...draft.way, ...part }, isSlept);
    const plain = {
      startState: 'damp',
      rootMethod: 'plain',
      route: { id: 'night', first: null, last: null },
    };
    const under = (id: 'hood-hot' | 'hood-warm' | 'hood-cool') =>
      gentle({ ...plain, route: { id: 'h', first: { method: dryingMethods[id], hours: 1 }, last: null } });
    expect(under('hood-hot')).toBeLessThan(under('hood-warm'));
    expect(under('hood-warm')).toBeLessThan(under('hood-cool'));
    expect(under('hood-cool')).toBeLessThan(gentle(plain));
    expect(gentle({ ...plain, startState: 'stretched-dry' })).toBeLessThan(gentle(plain));
    expect(gentle({ ...plain, rootMethod: 'braided' })).toBeLessThan(gentle(plain));
  });
});

describe('a draft as a brief', () => {
  it('keeps what was told, and says everything a chair needs', () => {
    const raw = wishOf(
      { stretchedLengthCm: 26, naturalCoilDiameterMm: 9, shrinkage: 0.55 },
      { part: 'left', hand: 'firm' },
    );
    const read = readWish(raw);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    const brief = briefOfPick(read.value.told, search.asked, draft);
    expect(brief.parting?.part).toBe('left');
    expect(brief.startAt).toBe('2027-03-12T18:00:00');
    expect(brief.prep?.map(({ step }) => step)).toEqual(['cleanse', 'instant-condition', 'blot']);
    expect(brief.drying!.length).toBeGreaterThan(0);
    const { title, figures, drawn } = optionOf(read.value.told, search.asked, draft, 0);
    expect(title).toMatch(/^\d+ /);
    expect(drawn).toHaveLength(draft.way.set.sections);
    expect(figures.handsOnMin).toBeGreaterThan(30);
  });
});
