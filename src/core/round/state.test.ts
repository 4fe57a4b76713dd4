import { describe, expect, it } from 'vitest';
import { ran } from '../work';
import { readOrThrow } from '../../../tests/support/briefs';
import { usualBrief } from '../../../tests/support/usual-brief';
import { perZone } from '../hair/zone';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import { rangesOf } from '../plan/result-ranges';
import { asRated } from './came-out';
import { flatPicture } from './flat-picture';
import { flatBox, flatSvg } from './flat-svg';
import { lookFacts, roundFacts } from './facts';
import { lookIn, modelIn } from './state';
import { layOut } from '../parting/layout';
import { polygonArea } from '../sphere/polygon';
import { drawRound } from './build';
import { directionOnChart } from './head/scalp';
import type { RoundPen } from './mesh';
import { roundOf } from './round-of';

const brief = readOrThrow(usualBrief('two-strand-twist'));
const given = forecast(brief, layoutFor(brief), 0);
const model = roundOf(brief, given);
const onDay = (day: number, reach: 'narrow' | 'likely' | 'wide' = 'likely') =>
  ({ kind: 'worn', day, reach }) as const;

describe('what a state shows', () => {
  it('is the forecast’s own figures on every day', () => {
    given.plan.result.byDay.forEach((own, day) => {
      const { left, right } = lookIn(model, onDay(day))!;
      expect(left).toEqual({
        definition: own.definition,
        frizz: own.frizz,
        volume: own.volume,
        visibleCm: own.visibleLengthCm,
        curlMm: own.zoneCurlDiameterMm,
      });
      expect(right).toEqual(left);
    });
    expect(lookIn(model, { kind: 'set' })).toBeNull();
  });

  it('at its ends is the range that the plan tells', () => {
    const { result } = given.plan;
    const ranges = rangesOf(result);
    const likely = lookIn(model, onDay(0))!.left;
    for (const [reach, key] of [
      ['narrow', 'p10'],
      ['wide', 'p90'],
    ] as const) {
      const { left } = lookIn(model, onDay(0, reach))!;
      expect(left.curlMm.crown! / likely.curlMm.crown!).toBeCloseTo(
        ranges.curlDiameterMm[key] / result.curlDiameterMm,
        9,
      );
      expect(left.volume - likely.volume).toBeCloseTo(ranges.volume[key] - result.volume, 9);
    }
  });

  it('of her own hair is her coil and her shrinkage, of which less shows while it is wet', () => {
    const dry = lookIn(model, { kind: 'own', isWet: false })!.left;
    const wet = lookIn(model, { kind: 'own', isWet: true })!.left;
    expect(dry.curlMm).toEqual(perZone(() => 6));
    // 28 cm of hair that draws up by 60 %.
    expect(dry.visibleCm.crown).toBeCloseTo(28 * 0.4, 9);
    expect(wet.visibleCm.crown!).toBeGreaterThan(dry.visibleCm.crown!);
    expect(wet.frizz).toBe(0);
  });

  it('of hair that is left out is her own throughout, as thick as the rest', () => {
    const patch = [[-0.3, 0.7], [0.3, 0.7], [0.3, 1.2], [-0.3, 1.2]] as const; // prettier-ignore
    const layout = layOut({ ...layoutFor(brief).recipe, exclude: [patch] });
    const parted = roundOf(brief, forecast(brief, layout, 0));
    const [leftOut] = parted.leftOut;
    expect(parted.leftOut).toHaveLength(1);
    expect(leftOut).toMatchObject({ isOwn: true, flatRootCm: 0, tool: null, spine: null });
    const perArea = (sections: typeof parted.sections) =>
      sections.reduce((sum, { hairCount }) => sum + hairCount, 0) /
      sections.reduce((sum, { outline }) => sum + polygonArea(outline), 0);
    expect(perArea(parted.leftOut) / perArea(parted.sections)).toBeCloseTo(1, 6);
    expect(lookIn(parted, onDay(2))!.own).toEqual(lookIn(parted, { kind: 'own', isWet: false })!.own);
    expect(modelIn(parted, onDay(2)).sections.at(-1)).toEqual(leftOut);
    expect(roundFacts(parted)).toMatchObject({ leftOut: 1 });
    // In the set it hangs among the ropes, from its own patch.
    const roots: number[][] = [];
    const pen: RoundPen = {
      ribbon: (points, { kind }) => {
        if (kind === 'ribbon') roots.push([...points.slice(0, 3)]);
      },
      tube: () => undefined,
    };
    ran(drawRound(parted, { kind: 'set' }, 'full', pen));
    expect(roots.length).toBeGreaterThan(20);
    for (const root of roots) {
      const place = directionOnChart(root as [number, number, number]);
      expect(Math.abs(place.x)).toBeLessThan(0.4);
      expect(place.y).toBeGreaterThan(0.6);
      expect(place.y).toBeLessThan(1.3);
    }
  });

  it('is as it was rated where it was, side by side', () => {
    const rated = asRated(model, [
      { day: 1, half: 'left', definition: 9, frizz: null, volume: 2 },
      { day: 1, half: 'right', definition: 3, frizz: 7, volume: null },
    ]);
    const { left, right } = lookIn(rated, onDay(1))!;
    expect([left.definition, left.frizz, left.volume]).toEqual([9, model.days[1]!.left.frizz, 2]);
    expect([right.definition, right.frizz, right.volume]).toEqual([3, 7, model.days[1]!.right.volume]);
    expect(lookFacts(rated, onDay(1))!.isRated).toBe(true);
    expect(lookFacts(rated, onDay(1))!.definition).toEqual({ low: 3, high: 9 });
    expect(lookIn(rated, onDay(0))).toEqual(lookIn(model, onDay(0)));
  });

  it('is told with its sections and its hair', () => {
    const facts = roundFacts(model);
    expect(facts.sets).toEqual([{ label: 'Two-strand twist', noun: ['twist', 'twists'], count: 18 }]);
    expect(facts.hairCm).toEqual({ low: 28, high: 28 });
    expect(facts.days).toBe(given.plan.result.byDay.length);
    expect(facts.outlines).toHaveLength(18);
  });
});

describe('the flat picture', () => {
  const front = ran(flatPicture(model, onDay(0), 0, 'screen'));

  it('is drawn from back to front, nothing of it behind the head', () => {
    const depths = front.runs.map(({ depth }) => depth);
    expect([...depths].sort((a, b) => b - a)).toEqual(depths);
    // Seen from the front, hair of the back of the head is hidden.
    const behind = ran(flatPicture(model, onDay(0), Math.PI, 'screen'));
    const widest = (picture: typeof front) => picture.box.right - picture.box.left;
    expect(widest(behind) / widest(front)).toBeGreaterThan(0.9);
    expect(front.face.length).toBeGreaterThan(4);
    expect(behind.face.length).toBeLessThan(front.face.length);
  });

  it('holds all of it in its box, in numbers alone', () => {
    const [left, top, width, height] = flatBox(front);
    const tones = { skin: '#6b4230', skinEdge: '#37190f', hair: '#1c1210', tool: '#d8a53c' };
    const svg = flatSvg(front, tones, { stepCm: 1, unit: 'cm' });
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    expect(front.box.left).toBeGreaterThan(left);
    expect(front.box.right).toBeLessThan(left + width);
    expect(front.box.bottom).toBeLessThanOrEqual(top + height);
    // Small enough to be printed and sent.
    const printed = flatSvg(ran(flatPicture(model, onDay(0), 0, 'small')), tones, {
      stepCm: 2.54,
      unit: 'in',
    });
    expect(printed.length).toBeLessThan(150_000);
  });

  it('of a set has every tool on it', () => {
    const rods = readOrThrow(usualBrief('rod-set'));
    const wound = roundOf(rods, forecast(rods, layoutFor(rods), 0));
    const tools = ['front', 'behind'].flatMap((_, i) =>
      ran(flatPicture(wound, { kind: 'set' }, i * Math.PI, 'small')).runs.filter(
        ({ kind }) => kind === 'tool',
      ),
    );
    expect(tools.length).toBeGreaterThan(20);
    for (const { widthCm } of tools) expect(widthCm).toBeCloseTo(1.6, 1);
  });
});
