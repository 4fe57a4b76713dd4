import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { perZone, ZONES, type Zone } from '../hair/zone';
import { hairCountCv } from '../plan/hair-variation';
import { layoutFor } from '../plan/layout-for';
import { planSections } from '../plan/section-forecasts';
import { zoneGroups } from '../plan/zone-groups';
import { evennessOf } from './evenness';
import { EVEN_SIZES } from './generate';
import type { LaidSection, Layout } from './layout';
import { loadFor, sizeAt } from './load';
import { zoneShares } from './zone-outlines';

const laid = (change: Parameters<typeof aBrief>[0] = {}): Layout => layoutFor(readOrThrow(aBrief(change)));
const layout = laid({ set: { sections: 60 } });
const inMiddleOf = (zone: Zone) => {
  const own = layout.sections.filter((section) => section.zone === zone);
  // The section farthest from any border: the one whose neighbours are all of its zone.
  return own.reduce((best, section) =>
    Math.abs(section.centroid.x) > Math.abs(best.centroid.x) ? section : best,
  ).centroid;
};

describe('sizes by zone', () => {
  it('left and right have their own', () => {
    const sizes = perZone((zone) => (({ left: 0.5, right: 2 }) as Partial<Record<Zone, number>>)[zone] ?? 1);
    expect(sizeAt(sizes, inMiddleOf('left'))).toBeCloseTo(0.5, 1);
    expect(sizeAt(sizes, inMiddleOf('right'))).toBeCloseTo(2, 0);
    const mirrored = perZone(
      (zone) => (({ left: 2, right: 0.5 }) as Partial<Record<Zone, number>>)[zone] ?? 1,
    );
    for (const { centroid } of layout.sections)
      expect(sizeAt(sizes, centroid)).toBeCloseTo(sizeAt(mirrored, { x: -centroid.x, y: centroid.y }), 6);
  });

  it('blend smoothly over a border, by half at its middle', () => {
    const sizes = perZone((zone) => (zone === 'nape' ? 4 : 1));
    const line = Array.from({ length: 81 }, (_, i) => sizeAt(sizes, { x: 0, y: -1.5 + i * 0.02 }));
    // From the nape's own to the rest's, without a step, in S shape: slow, fast, slow.
    expect(line[0]).toBeCloseTo(4, 6);
    expect(line.at(-1)).toBeCloseTo(1, 6);
    const steps = line.slice(1).map((size, i) => Math.log(line[i]! / size));
    for (const step of steps) expect(step).toBeGreaterThanOrEqual(-1e-9);
    const moving = steps.filter((step) => step > 1e-6);
    expect(moving[0]!).toBeLessThan(0.3 * Math.max(...moving));
    expect(moving.at(-1)!).toBeLessThan(0.3 * Math.max(...moving));
  });
});

describe('how even a parting is', () => {
  /** A layout in which one section is as wide as given, beside an even grid of squares. */
  const grid = (
    change: (section: LaidSection, i: number) => LaidSection,
    pattern = layout.recipe.pattern,
  ): Layout => ({
    ...layout,
    recipe: { ...layout.recipe, pattern },
    sections: layout.sections.map(change),
  });
  const scaled = (section: LaidSection, x: number, y: number): LaidSection => ({
    ...section,
    outline: section.outline.map((point) => ({
      ...point,
      x: section.centroid.x + x * (point.x - section.centroid.x),
      y: section.centroid.y + y * (point.y - section.centroid.y),
    })),
  });
  const odd = (own: Layout) => evennessOf(own, loadFor(EVEN_SIZES)).odd;

  it('a section of half the mean is odd, one of three quarters is not', () => {
    const of = (share: number) =>
      odd(grid((section, i) => (i === 20 ? scaled(section, Math.sqrt(share), Math.sqrt(share)) : section)));
    expect(of(0.5)).toContain(21);
    expect(of(0.75)).not.toContain(21);
  });

  it('one more than three times as long as wide is odd, but in lanes', () => {
    const long = (section: LaidSection, i: number) => (i === 20 ? scaled(section, 2.4, 0.5) : section);
    expect(odd(grid(long))).toContain(21);
    expect(odd(grid(long, 'lanes-back' as Layout['recipe']['pattern']))).not.toContain(21);
  });

  it('is told how far it is from its mirror image', () => {
    const aside = grid((section, i) =>
      i === 20 ? { ...section, centroid: { x: section.centroid.x + 0.1, y: section.centroid.y } } : section,
    );
    expect(evennessOf(layout, loadFor(EVEN_SIZES)).mirrorCm).toBeLessThan(0.01);
    // A tenth of the radius, about a centimetre on this head.
    expect(evennessOf(aside, loadFor(EVEN_SIZES)).mirrorCm).toBeGreaterThan(0.5);
  });

  it('hair a section varies against the mean of its own zone (worked by hand)', () => {
    const of = (...hairs: number[]) =>
      hairCountCv(hairs.map((hairCount) => ({ zone: 'crown' as const, hairCount })));
    expect(of(100, 100, 100)).toBe(0);
    expect(of(50, 150)).toBeCloseTo(0.5, 9);
    expect(of(100)).toBe(0);
    expect(of()).toBe(0);
    // Zones parted larger on purpose are not uneven.
    const zones = [
      { zone: 'crown' as const, hairCount: 100 },
      { zone: 'crown' as const, hairCount: 100 },
      { zone: 'nape' as const, hairCount: 300 },
      { zone: 'nape' as const, hairCount: 300 },
    ];
    expect(hairCountCv(zones)).toBe(0);
  });
});

describe('where a section is', () => {
  it('left and right, back and front of its quarter are those of its middle', () => {
    for (const count of [18, 60, 150]) {
      for (const { centroid, quadrant, side, zone } of laid({ set: { sections: count } }).sections) {
        const [depth, hand] = quadrant.split('-');
        if (side !== 'middle') expect(hand).toBe(side);
        if (Math.abs(centroid.x) > 0.05) expect(hand).toBe(centroid.x < 0 ? 'left' : 'right');
        if (zone === 'left' || zone === 'right') expect(hand).toBe(zone);
        if (zone === 'nape' || zone === 'back') expect(depth).toBe('back');
        if (zone === 'front') expect(depth).toBe('front');
      }
    }
  });

  it('zones share the scalp out, left as much as right', () => {
    const shares = zoneShares();
    expect(ZONES.reduce((sum, zone) => sum + shares[zone], 0)).toBeCloseTo(1, 3);
    expect(shares.left).toBeCloseTo(shares.right, 3);
  });
});

describe('zones that are set alike', () => {
  it('come largest first, and share the hair out', () => {
    const brief = readOrThrow(aBrief({ set: { zones: { nape: { technique: 'braid' } } } }));
    const groups = zoneGroups(brief, planSections(brief, layoutFor(brief)));
    expect(groups.map(({ set }) => set.technique)).toEqual(['two-strand-twist', 'braid']);
    expect(groups[0]!.share).toBeGreaterThan(groups[1]!.share);
    expect(groups.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    const most = readOrThrow(
      aBrief({
        set: {
          zones: Object.fromEntries(
            ZONES.filter((z) => z !== 'front').map((z) => [z, { technique: 'braid' }]),
          ),
        },
      }),
    );
    expect(zoneGroups(most, planSections(most, layoutFor(most)))[0]!.set.technique).toBe('braid');
  });
});
