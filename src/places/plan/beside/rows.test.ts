import { METRIC, UTC_CLOCK } from '@/core/formats/display';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../../tests/support/briefs';
import { answerView } from '@/core/plan/answer-view';
import { copyTitle } from '../copy-title';
import { comparedPlan, differenceWords, type Compared } from '../difference-words';
import { besideRows, isDifferent, type ComparedDraft, type RowContext } from './rows';

const context: RowContext = {
  products: [],
  tools: [],
  handUnits: {},
  units: METRIC,
  clock: UTC_CLOCK,
};
const draftOf = (change: Parameters<typeof aBrief>[0] = {}): ComparedDraft => {
  const brief = aBrief(change);
  const answer = answerView(brief);
  return {
    content: { title: 'Draft', brief, layerProductIds: [null] },
    answer: answer.ok ? answer.value : null,
  };
};

describe('drafts beside each other', () => {
  it('differ in just the lines that were changed, and in what comes of it', () => {
    const rows = besideRows([draftOf(), draftOf({ set: { sections: 30 } })], context);
    const different = rows.filter(isDifferent).map(({ title }) => title);
    expect(different).toContain('Sections');
    expect(different).toContain('Work, from washing on');
    expect(different).not.toContain('Look');
    expect(different).not.toContain('Layers, in order');
    expect(rows.every(({ cells }) => cells.length === 2)).toBe(true);
  });

  it('a step that only one of them has is a line of both', () => {
    const rows = besideRows(
      [draftOf(), draftOf({ set: { technique: 'rod-set', endsMethod: 'pasted', tool: { diameterMm: 16 } } })],
      context,
    );
    const tool = rows.find(({ cells }) => cells[0] === null && cells[1] !== null);
    expect(tool?.kind).toBe('choice');
  });

  it('a draft that does not add up still shows its choices', () => {
    const rows = besideRows([draftOf(), { ...draftOf(), answer: null }], context);
    expect(rows.find(({ title }) => title === 'Look')!.cells[1]).not.toBeNull();
    expect(rows.find(({ title }) => title === 'Lasts')!.cells[1]).toBeNull();
  });
});

describe('a difference in words', () => {
  const plain: Compared = {
    chance: 0.9,
    dryH: 10,
    workMin: 100,
    definition: 7,
    days: 4,
    stretch: 0.7,
    curlMm: 10,
  };
  const words = (change: Partial<Compared>) => differenceWords(plain, { ...plain, ...change }, METRIC);

  it('says each thing that a stylist would notice, in the direction it goes', () => {
    expect(words({ dryH: 7 })).toEqual(['dry 3 h sooner']);
    expect(words({ dryH: 11.5, workMin: 125 })).toEqual(['dry 1½ h later', '25 min more work']);
    expect(words({ workMin: 60 })).toEqual(['40 min less work']);
    expect(words({ days: 6 })).toEqual(['lasts 2 days longer']);
    expect(words({ days: 3 })).toEqual(['lasts 1 day less']);
    expect(words({ curlMm: 8 })).toEqual(['curls 2 mm smaller']);
    expect(words({ definition: 8 })).toEqual(['defined 1 of 10 better']);
    expect(words({ stretch: 0.8 })).toEqual(['shows 80 % of its length instead of 70 %']);
    expect(words({ chance: 0.5 })).toEqual(['less sure to be dry']);
  });

  it('says nothing of what nobody would notice, or of what is not known', () => {
    expect(
      words({ dryH: 10.3, workMin: 105, definition: 7.2, days: 4.2, stretch: 0.71, curlMm: 10.5 }),
    ).toEqual([]);
    expect(words({ chance: null, dryH: null })).toEqual([]);
  });

  it('compares what a plan says of itself', () => {
    const draft = draftOf();
    const own = comparedPlan(draft.answer!.view.plan);
    expect(differenceWords(own, own, METRIC)).toEqual([]);
    const stretched = comparedPlan(draftOf({ set: { startState: 'stretched-dry' } }).answer!.view.plan);
    expect(stretched.workMin).toBeGreaterThan(own.workMin);
  });
});

describe('a name for a copy', () => {
  it('counts on, whatever it is a copy of, and stays short enough', () => {
    expect(copyTitle('Wedding', ['Wedding'])).toBe('Wedding (2)');
    expect(copyTitle('Wedding (2)', ['Wedding', 'Wedding (2)'])).toBe('Wedding (3)');
    expect(copyTitle('x'.repeat(80), []).length).toBe(80);
  });
});
