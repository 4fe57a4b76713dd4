import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { motifOf } from '@/core/draft/labels';
import { techniqueCards } from '@/core/drawings/technique-cards';
import { finished } from '@/core/drawings/scenes';
import { forecast } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { drawLayout } from '@/core/parting/drawn-layout';
import { WINDINGS, windingHand, type Winding } from '@/core/parting/winding';
import { headGrid } from '@/core/round/head/head-grid';
import { onScalp } from '@/core/round/head/scalp';
import { drawSet } from '@/core/round/in-set/draw-set';
import type { RoundPen, Stroke } from '@/core/round/mesh';
import type { RoundModel } from '@/core/round/model';
import { roundOf } from '@/core/round/round-of';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '@/core/techniques';
import { ran } from '@/core/work';
import { readOrThrow } from '../../../tests/support/briefs';
import { usualBrief } from '../../../tests/support/usual-brief';
import { Motif } from './motif';

const wound = (id: TechniqueId, winding: Winding) => {
  const brief = readOrThrow(usualBrief(id, { set: { sections: 12 } }));
  const layout = layoutFor(brief);
  const model = roundOf(brief, forecast(brief, layout, 0));
  return {
    layout,
    model: {
      ...model,
      sections: model.sections.map((section) => ({ ...section, winding })),
    } satisfies RoundModel,
  };
};

/** Lines that one section is drawn with in the round. */
function linesOf(model: RoundModel, number: number): (Stroke & { points: Float64Array })[] {
  const lines: (Stroke & { points: Float64Array })[] = [];
  const pen: RoundPen = {
    ribbon: () => undefined,
    tube: (points, _, stroke) => lines.push({ ...stroke, points: points.slice() }),
  };
  const only = { ...model, sections: model.sections.filter((section) => section.number === number) };
  ran(drawSet(only, headGrid(model.circumferenceCm), pen));
  return lines.filter(({ kind }) => kind === 'tube');
}

/** Which way ropes turn about their common middle as they go on: above nought they rise to the right. */
function turnOf(lines: readonly { points: Float64Array }[]): number {
  const count = Math.min(...lines.map(({ points }) => points.length / 3));
  const middle = (i: number, c: number) =>
    lines.reduce((sum, { points }) => sum + points[3 * i + c]!, 0) / lines.length;
  let turn = 0;
  for (const { points } of lines)
    for (let i = 0; i + 1 < count; i++) {
      const [a, b, t] = [0, 1, 2]
        .map((c) => [
          points[3 * i + c]! - middle(i, c),
          points[3 * i + 3 + c]! - middle(i + 1, c),
          middle(i + 1, c) - middle(i, c),
        ])
        .reduce<[number[], number[], number[]]>(
          ([as, bs, ts], [x, y, z]) => [
            [...as, x!],
            [...bs, y!],
            [...ts, z!],
          ],
          [[], [], []],
        );
      turn +=
        t![0]! * (a![1]! * b![2]! - a![2]! * b![1]!) +
        t![1]! * (a![2]! * b![0]! - a![0]! * b![2]!) +
        t![2]! * (a![0]! * b![1]! - a![1]! * b![0]!);
    }
  return turn;
}

const markup = (id: TechniqueId, layout: ReturnType<typeof layoutFor>, number: number, winding: Winding) => {
  const section = {
    ...drawLayout(layout).find((one) => one.number === number)!,
    winding,
    clearRadius: 20,
  };
  return renderToStaticMarkup(
    createElement(Motif, { section, motif: motifOf(techniqueOf(id)), stroke: '#000' }),
  );
};

const ROPED: readonly TechniqueId[] = ['two-strand-twist', 'double-two-strand-twist', 'three-strand-twist'];

describe('map, card and the head in the round tell one story', () => {
  it.each([...ROPED, 'braid', 'flat-twist'] as const)(
    '%s: as many strands on the map and the card as in the round',
    (id) => {
      const { layout, model } = wound(id, 'to-right');
      const { ropes, isDouble } = motifOf(techniqueOf(id));
      expect(linesOf(model, 5)).toHaveLength(ropes * (isDouble ? 2 : 1));
      const shown = new Set(markup(id, layout, 5, 'to-right').match(/data-rope="\d"/g));
      expect(shown.size).toBe(ropes);
      // Strands of a card are told apart by their tone.
      const tones = techniqueCards[id].steps.flatMap(({ draw }) =>
        [draw()].map(
          (shapes) =>
            new Set(
              shapes.flatMap(({ fill }) => (fill && ['dark', 'warm', 'sand'].includes(fill) ? [fill] : [])),
            ).size,
        ),
      );
      expect(Math.max(...tones)).toBe(ropes);
    },
  );

  it.each(ROPED)('%s: leans on the map the way it is wound in the round', (id) => {
    for (const winding of WINDINGS) {
      const { layout, model } = wound(id, winding);
      for (const number of [1, 9]) {
        const section = model.sections.find((one) => one.number === number)!;
        const lean = Number(/rotate\((-?[\d.]+)/.exec(markup(id, layout, number, winding))![1]);
        const hand = windingHand(winding, section.centroid.x);
        expect(Math.sign(lean), `${winding} ${number}`).toBe(hand);
        // Of a double twist the pair counts: its own strands turn three times as often.
        const lines = linesOf(model, number);
        const pair =
          lines.length === 4
            ? [0, 2].map((k) => ({
                points: lines[k]!.points.map((value, i) => (value + lines[k + 1]!.points[i]!) / 2),
              }))
            : lines;
        expect(Math.sign(turnOf(pair)), `${winding} ${number}`).toBe(hand);
      }
    }
  });

  it('a knot turns outwards the same way round', () => {
    for (const winding of ['to-left', 'to-right'] as const) {
      const { layout, model } = wound('bantu-knot', winding);
      const section = model.sections.find(({ number }) => number === 6)!;
      const { at, normal } = onScalp(section.centroid, 1);
      const [line] = linesOf(model, 6);
      let turn = 0;
      for (let i = 0; i + 5 < line!.points.length; i += 3) {
        const [a, b] = [i, i + 3].map((k) => [0, 1, 2].map((c) => line!.points[k + c]! - at[c]!)) as [
          number[],
          number[],
        ];
        turn +=
          normal[0] * (a[1]! * b[2]! - a[2]! * b[1]!) +
          normal[1] * (a[2]! * b[0]! - a[0]! * b[2]!) +
          normal[2] * (a[0]! * b[1]! - a[1]! * b[0]!);
      }
      const path = /d="M([^"]+)"/
        .exec(markup('bantu-knot', layout, 6, winding))![1]!
        .split('L')
        .map((pair) => pair.split(' ').map(Number));
      const middle = path[0]!;
      const drawn = path.slice(1).reduce((sum, [x, y], i) => {
        const [px, py] = path[i]!;
        return sum + (px! - middle[0]!) * (y! - middle[1]!) - (py! - middle[1]!) * (x! - middle[0]!);
      }, 0);
      // Down is up on a page: what turns one way there has the other sign.
      expect(Math.sign(drawn)).toBe(-Math.sign(turn));
    }
  });

  it('a card is drawn for a right hand: right over left, which rises to the right', () => {
    const strands = finished(2).filter(({ fill }) => fill === 'warm' || fill === 'dark');
    const near = strands.slice(Math.ceil(strands.length / 2));
    for (const { d } of near) {
      const points = d
        .match(/-?[\d.]+ -?[\d.]+/g)!
        .map((pair) => pair.split(' ').map(Number) as [number, number]);
      const mean = [0, 1].map((c) => points.reduce((sum, point) => sum + point[c]!, 0) / points.length);
      const together = points.reduce((sum, [x, y]) => sum + (x - mean[0]!) * (y - mean[1]!), 0);
      expect(together).toBeLessThan(0);
    }
    expect(near.length).toBeGreaterThan(2);
  });

  it('every technique has a motif that can be drawn', () => {
    for (const id of TECHNIQUE_IDS) {
      const { layout } = wound(id, 'to-left');
      expect(markup(id, layout, 5, 'to-left')).toMatch(/<(ellipse|path|rect)/);
    }
  });
});
