import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { partedBy } from './chair-parting';
import { partingChoices } from './parting-effect';
import { rescues, type LateSet, type Rescue } from './rescues';

const NOW = Date.UTC(2026, 10, 27, 16);
const twists = aBrief({ set: { sections: 28 } });
const rods = aBrief({
  set: {
    technique: 'rod-set',
    sections: 40,
    endsMethod: undefined,
    tool: { diameterMm: 14, owned: 60 },
  } as never,
});
const late = (change: Partial<LateSet> = {}): LateSet => ({
  brief: twists,
  edits: [],
  done: Array.from({ length: 14 }, (_, i) => i + 1),
  pace: 1.4,
  lateMin: 14,
  nowMs: NOW,
  takedownMs: NOW + 7 * HOUR_MS,
  planned: [{ method: 'air', fromMs: NOW + 0.5 * HOUR_MS, untilMs: NOW + 7 * HOUR_MS }],
  larger: [],
  ways: ['air', 'hood-warm'],
  ...change,
});
const of = <K extends Rescue['kind']>(all: readonly Rescue[], kind: K) =>
  all.find((rescue): rescue is Extract<Rescue, { kind: K }> => rescue.kind === kind);

describe('what would help a set that runs late', () => {
  it('fewer, larger sections: sooner in, later dry, larger curls, and what is done stays', () => {
    const join = of(rescues(late()), 'join')!;
    expect(join.after.finishMs).toBeLessThan(join.before.finishMs);
    expect(join.effect.moreMin).toBeLessThan(0);
    expect(join.effect.laterH).toBeGreaterThan(0);
    expect(join.effect.curlMm!.after).toBeGreaterThan(join.effect.curlMm!.before);
    for (const edit of join.edits) {
      if (edit.edit !== 'join') throw new Error('no join');
      // Neither what is done nor the section in hand.
      expect(Math.min(edit.section, edit.beside)).toBeGreaterThan(15);
    }
    // What is said is what taking it brings.
    expect(partedBy(readOrThrow(twists), join.edits).ok).toBe(true);
  });

  it('joins no more than it takes', () => {
    const few = of(rescues(late({ lateMin: 2 })), 'join');
    const many = of(rescues(late({ lateMin: 14 })), 'join')!;
    expect(few?.edits.length ?? 0).toBeLessThan(many.edits.length);
  });

  it('a hood makes it dry sooner and surer, and none is spoken of where there is none', () => {
    const hood = of(rescues(late()), 'hood')!;
    expect(hood.after.dryMs).toBeLessThan(hood.before.dryMs);
    expect(hood.after.chance!).toBeGreaterThan(hood.before.chance!);
    expect(hood.beginMs).toBeGreaterThanOrEqual(NOW);
    expect(of(rescues(late({ ways: ['air'] })), 'hood')).toBeUndefined();
    const child = aBrief({ set: { sections: 28 }, head: { conditions: ['child'] } });
    expect(
      of(rescues(late({ brief: child, ways: ['air', 'hood-warm', 'hood-cool'] })), 'hood')?.method ??
        'hood-cool',
    ).toBe('hood-cool');
  });

  it('the hood begins while the last zone is open where none of it is in yet, and not where some is', () => {
    const numbers = Array.from({ length: 28 }, (_, i) => i + 1);
    const { parting } = partedBy(readOrThrow(twists), []) as Extract<
      ReturnType<typeof partedBy>,
      { ok: true }
    >;
    const lastZone = parting.layout.sections.at(-1)!.zone;
    const ofZone = parting.layout.sections
      .filter(({ zone }) => zone === lastZone)
      .map(({ number }) => number);
    const isLast = ofZone.every((number) => number > 28 - ofZone.length);
    const upTo = 28 - ofZone.length - 2;
    const open = of(rescues(late({ done: numbers.slice(0, upTo) })), 'hood')!;
    expect(open.openZone).toBe(isLast ? lastZone : null);
    if (isLast) expect(open.beginMs).toBeLessThan(open.before.finishMs - MINUTE_MS);
    const begun = of(rescues(late({ done: numbers.slice(0, 29 - ofZone.length) })), 'hood')!;
    expect(begun.openZone).toBeNull();
    expect(begun.beginMs).toBeCloseTo(begun.before.finishMs, -3);
  });

  it('larger rods only where there are enough of them: drier sooner, larger curls', () => {
    const enough = of(rescues(late({ brief: rods, larger: [{ diameterMm: 20, free: 40 }] })), 'larger')!;
    expect(enough.after.dryMs).toBeLessThan(enough.before.dryMs);
    expect(enough.effect.curlMm!.after).toBeGreaterThan(enough.effect.curlMm!.before + 2);
    expect(
      of(rescues(late({ brief: rods, larger: [{ diameterMm: 20, free: 10 }] })), 'larger'),
    ).toBeUndefined();
  });

  it('one of a kind at most, the surest first, and nothing with one section left', () => {
    const all = rescues(late({ brief: rods, larger: [{ diameterMm: 20, free: 40 }] }));
    expect(new Set(all.map(({ kind }) => kind)).size).toBe(all.length);
    expect(all.length).toBeGreaterThan(1);
    const chances = all.map(({ after }) => after.chance!);
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
    expect(rescues(late({ done: Array.from({ length: 27 }, (_, i) => i + 1) }))).toEqual([]);
  });
});

describe('what a change of the parting would bring', () => {
  const choices = partingChoices(twists, [], 20, [1, 2, 3, 15], [20]);

  it('smaller sections take longer and curl tighter, larger ones the other way about', () => {
    const effectOf = (edit: string) => choices.find((choice) => choice.edit.edit === edit)!.effect;
    expect(effectOf('split').moreMin).toBeGreaterThan(0);
    expect(effectOf('split').curlMm!.after).toBeLessThan(effectOf('split').curlMm!.before);
    expect(effectOf('join').moreMin).toBeLessThan(0);
    expect(effectOf('join').laterH).toBeGreaterThan(0);
    expect(effectOf('thin').curlMm!.after).toBeLessThan(effectOf('thin').curlMm!.before);
    expect(effectOf('leave-out').moreMin).toBeLessThan(0);
  });

  it('touches nothing that is done, and offers no size to what goes on no tool', () => {
    for (const { edit } of choices) if ('beside' in edit) expect([1, 2, 3, 15]).not.toContain(edit.beside);
    expect(choices.some(({ edit }) => edit.edit === 'size')).toBe(false);
  });
});
