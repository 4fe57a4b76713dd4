import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { joinable } from '../parting/edits/sections';
import { roundPatch } from '../parting/edits/patch';
import type { PartingEdit } from '../run/parting-edit';
import {
  editParting,
  partedBy,
  partedView,
  partingProblem,
  plannedParting,
  type ChairParting,
} from './chair-parting';
import { layoutFor } from './layout-for';

const RAW = aBrief({ set: { sections: 24 } });
const BRIEF = readOrThrow(RAW);
const PLANNED = plannedParting(BRIEF);

const shareOf = ({ layout, keys }: ChairParting, number: number) =>
  layout.sections.find(({ key }) => key === keys.get(number))!.share;
const shares = (parting: ChairParting) =>
  new Map([...parting.keys.keys()].map((number) => [number, shareOf(parting, number)]));
const all = (parting: ChairParting) => [...shares(parting).values()].reduce((sum, share) => sum + share, 0);
const after = (...edits: PartingEdit[]): ChairParting => {
  const done = partedBy(BRIEF, edits);
  if (!done.ok) throw new Error(done.why);
  return done.parting;
};
const besideOf = ({ layout, keys }: ChairParting, number: number) => {
  const near = new Set(joinable(layout, keys.get(number)!).map(({ key }) => key));
  return [...keys].flatMap(([other, key]) => (near.has(key) ? [other] : []));
};
const anySection = fc.constantFrom(...PLANNED.keys.keys());
const anyPair = anySection.chain((section) =>
  fc.constantFrom(...besideOf(PLANNED, section)).map((beside) => ({ section, beside })),
);
/** Every section but those named is where it was, under its number. */
const othersStay = (parting: ChairParting, ...named: number[]) => {
  for (const [number, key] of PLANNED.keys)
    if (!named.includes(number)) expect(parting.keys.get(number)).toBe(key);
};

describe('the parting at the chair', () => {
  it('split: two of half the hair, the rest untouched, nothing lost', () => {
    fc.assert(
      fc.property(anySection, (section) => {
        const parting = after({ edit: 'split', section });
        const half = shareOf(PLANNED, section) / 2;
        expect(shareOf(parting, section)).toBeCloseTo(half, 4);
        expect(shareOf(parting, 1000 + section)).toBeCloseTo(half, 4);
        expect(all(parting)).toBeCloseTo(all(PLANNED), 4);
        othersStay(parting, section);
      }),
    );
  });

  it('join: one of both, the rest untouched', () => {
    fc.assert(
      fc.property(anyPair, ({ section, beside }) => {
        const parting = after({ edit: 'join', section, beside });
        expect(shareOf(parting, section)).toBeCloseTo(
          shareOf(PLANNED, section) + shareOf(PLANNED, beside),
          4,
        );
        expect(parting.keys.has(beside)).toBe(false);
        expect(all(parting)).toBeCloseTo(all(PLANNED), 4);
        othersStay(parting, section, beside);
      }),
    );
  });

  it('thin: as much hair as said goes next door', () => {
    fc.assert(
      fc.property(anyPair, fc.constantFrom(0.2, 0.25, 1 / 3), ({ section, beside }, share) => {
        const edited = editParting(PLANNED, { edit: 'thin', section, beside, share }, BRIEF);
        // Where two meet at a short edge the strip between them may not reach: that is refused, never half done.
        fc.pre(edited.ok);
        const { parting } = edited as { parting: ChairParting };
        const [one, other] = [shareOf(PLANNED, section), shareOf(PLANNED, beside)];
        expect(shareOf(parting, section)).toBeCloseTo(one * (1 - share), 4);
        expect(shareOf(parting, beside)).toBeCloseTo(other + one * share, 4);
        othersStay(parting, section, beside);
      }),
    );
  });

  it('between: a third of each is a section of its own', () => {
    fc.assert(
      fc.property(anyPair, ({ section, beside }) => {
        const edited = editParting(PLANNED, { edit: 'between', section, beside }, BRIEF);
        fc.pre(edited.ok);
        const { parting } = edited as { parting: ChairParting };
        const [one, other] = [shareOf(PLANNED, section), shareOf(PLANNED, beside)];
        expect(shareOf(parting, 1000 + section)).toBeCloseTo((one + other) / 3, 4);
        expect(all(parting)).toBeCloseTo(all(PLANNED), 4);
        othersStay(parting, section, beside);
      }),
    );
  });

  it('most neighbours can give hair to each other', () => {
    const pairs = [...PLANNED.keys.keys()].flatMap((section) =>
      besideOf(PLANNED, section).map((beside) => ({ section, beside })),
    );
    const can = (edit: 'thin' | 'between') =>
      pairs.filter((pair) => editParting(PLANNED, { edit, share: 0.25, ...pair } as PartingEdit, BRIEF).ok)
        .length;
    expect(can('thin') / pairs.length).toBeGreaterThan(0.9);
    expect(can('between') / pairs.length).toBeGreaterThan(0.8);
  });

  it('left out is gone, and comes back under a new number with the ground it had', () => {
    const out = after({ edit: 'leave-out', section: 5 });
    expect(all(out)).toBeCloseTo(all(PLANNED) - shareOf(PLANNED, 5), 3);
    const back = after({ edit: 'leave-out', section: 5 }, { edit: 'add', patch: 0, numbers: [25] });
    expect(shareOf(back, 25)).toBeCloseTo(shareOf(PLANNED, 5), 4);
  });

  it('a patch that the plan left out is set after all', () => {
    const key = PLANNED.keys.get(12)!;
    const patched = roundPatch(PLANNED.layout, key, 6);
    if (!patched.ok) throw new Error(patched.why);
    const brief = readOrThrow({ ...RAW, parting: { recipe: patched.recipe as never } });
    const planned = plannedParting(brief);
    const bare = layoutFor(BRIEF).sections.length - planned.keys.size;
    const numbers = Array.from({ length: bare }, (_, i) => planned.keys.size + 1 + i);
    const whole = editParting(planned, { edit: 'add', patch: 0, numbers }, brief);
    expect(whole.ok && all(whole.parting)).toBeCloseTo(all(PLANNED), 4);
  });

  it('changes build on each other: thinned twice, joined, and split on the other side', () => {
    const { section, beside } = { section: 8, beside: besideOf(PLANNED, 8)[0]! };
    const thin = { edit: 'thin', section, beside, share: 0.2 } as const;
    const twice = after(thin, thin);
    expect(shareOf(twice, section)).toBeCloseTo(shareOf(PLANNED, section) * 0.64, 4);
    const joined = after(thin, { edit: 'join', section, beside }, { edit: 'split', section: 20 });
    expect(shareOf(joined, section)).toBeCloseTo(shareOf(PLANNED, section) + shareOf(PLANNED, beside), 4);
    expect(joined.keys.size).toBe(24);
  });

  it('what cannot be is refused in words, and nothing is changed', () => {
    const far = [...PLANNED.keys.keys()].find(
      (number) => number !== 1 && !besideOf(PLANNED, 1).includes(number),
    )!;
    expect(partingProblem(RAW, [{ edit: 'join', section: 1, beside: far }])).toBe(
      `1 and ${far} do not touch enough; choose one that lies beside it`,
    );
    const beside = besideOf(PLANNED, 1)[0]!;
    expect(
      partingProblem(RAW, [
        { edit: 'join', section: 1, beside },
        { edit: 'split', section: 1 },
      ]),
    ).toContain('cannot be split');
    expect(partingProblem(RAW, [{ edit: 'add', patch: 3, numbers: [25] }])).toContain('nothing is left out');
    expect(partingProblem(RAW, [{ edit: 'size', sections: [1], diameterMm: 20 }])).toContain('no tool');
  });

  it('a rod of its own stays with a section, whatever is parted', () => {
    const raw = aBrief({
      set: {
        technique: 'rod-set',
        sections: 24,
        endsMethod: undefined,
        layers: [{ role: 'mousse' }],
        tool: { diameterMm: 14, owned: 60 },
      } as never,
    });
    const sized = partedView(raw, [
      { edit: 'size', sections: [3, 4], diameterMm: 20 },
      { edit: 'split', section: 3 },
    ]);
    if (!sized.ok) throw new Error(sized.errors.map(({ message }) => message).join());
    const mm = new Map(sized.value.view.plan.sections.map((one) => [one.number, one.toolDiameterMm]));
    expect([2, 3, 1003, 4].map((number) => mm.get(number))).toEqual([14, 20, 20, 20]);
  });

  it('the forecast follows: fewer sections are sooner in and later dry, and every section has its dose', () => {
    const planned = partedView(RAW, []);
    const beside = besideOf(PLANNED, 10)[0]!;
    const joined = partedView(RAW, [{ edit: 'join', section: 10, beside }]);
    if (!planned.ok || !joined.ok) throw new Error('the brief is refused');
    const minutes = (view: { sectionMin: readonly number[] }) =>
      view.sectionMin.reduce((sum, min) => sum + min, 0);
    expect(minutes(joined.value.view)).toBeLessThan(minutes(planned.value.view));
    expect(joined.value.view.plan.drying.dryAfterH.p50).toBeGreaterThan(
      planned.value.view.plan.drying.dryAfterH.p50,
    );
    const numbers = joined.value.drawn.map(({ number }) => number);
    expect(numbers).not.toContain(beside);
    expect(joined.value.view.plan.sections.map(({ number }) => number)).toEqual(numbers);
    expect(
      Object.keys(joined.value.doses)
        .map(Number)
        .sort((a, b) => a - b),
    ).toEqual([...numbers].sort((a, b) => a - b));
    const grams = numbers.reduce((sum, number) => sum + (joined.value.doses[number]![0] ?? 0), 0);
    expect(grams).toBeCloseTo(joined.value.view.plan.doses[0]!.grams, 3);
  });
});
