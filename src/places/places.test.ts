import { describe, expect, it } from 'vitest';
import { aBrief } from '../../tests/support/briefs';
import type { BriefInput } from '@/core/formats/brief';
import { answerBrief } from '@/core/plan/answer-brief';
import { TECHNIQUE_IDS } from '@/core/techniques';
import { draftReducer, startDraft, type DraftState } from './plan/draft-reducer';
import { layerOf } from '@/core/draft/shelf-choices';
import { moved, withTechnique, withZone } from '@/core/draft/edits';
import { sectionsLabel, wholeSetLabel } from '@/core/draft/labels';
import type { PlanContent } from '@/core/draft/draft-brief';
import { tomorrowMorning, usualPlan } from './plan/usual-plan';
import type { PartingEdit } from '@/core/run/parting-edit';
import { effectWords } from './chair/effect-words';
import { partingWords } from './chair/parting-words';
import { heldUp, outcomeRows } from './sets/outcome-rows';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { dateOfDay } from './wear/worn-day';

const content = (title: string): PlanContent => ({ title, brief: aBrief(), layerProductIds: [] });

describe('a draft', () => {
  const edit = (state: DraftState, title: string) =>
    draftReducer(state, { type: 'edited', content: content(title) });

  it('after Back takes what the server has, but never over what is not kept yet', () => {
    const start = startDraft(content('old'), 1);
    const renewed = draftReducer(start, { type: 'renewed', content: content('new'), revision: 3 });
    expect([renewed.present.title, renewed.revision, renewed.past.length]).toEqual(['new', 3, 0]);
    const dirty = edit(start, 'typed');
    expect(draftReducer(dirty, { type: 'renewed', content: content('new'), revision: 3 })).toBe(dirty);
    expect(draftReducer(renewed, { type: 'renewed', content: content('old'), revision: 2 })).toBe(renewed);
  });

  it('undoes and redoes every edit', () => {
    const start = startDraft(content('a'), 1);
    const edited = edit(edit(start, 'b'), 'c');
    const undone = draftReducer(draftReducer(edited, { type: 'undone' }), { type: 'undone' });
    expect(undone.present).toBe(start.present);
    expect(draftReducer(undone, { type: 'undone' })).toBe(undone);
    const redone = draftReducer(draftReducer(undone, { type: 'redone' }), { type: 'redone' });
    expect(redone.present.title).toBe('c');
    expect(edit(undone, 'd').future).toEqual([]);
  });

  it('loses nothing when another tab saved first', () => {
    const mine = draftReducer(edit(startDraft(content('a'), 1), 'mine'), { type: 'conflicted' });
    expect(mine.conflict).toBe(true);
    expect(draftReducer(mine, { type: 'kept-mine', revision: 4 })).toMatchObject({
      conflict: false,
      revision: 4,
      present: { title: 'mine' },
    });
    const theirs = draftReducer(mine, { type: 'took-theirs', content: content('theirs'), revision: 4 });
    expect(theirs.present.title).toBe('theirs');
    expect(draftReducer(theirs, { type: 'undone' }).present.title).toBe('mine');
  });
});

describe('a parting changed at the chair', () => {
  const units = { length: 'cm', mass: 'g', temperature: 'C' } as const;

  it('is told by what one would notice of it, at the pace of today', () => {
    const effect = { moreMin: 6, laterH: -1.25, curlMm: { before: 10, after: 7.5 } };
    expect(effectWords(effect, 1, units)).toEqual([
      '6 min more',
      'curls there 2.5 mm smaller',
      'dry 1¼ h sooner',
    ]);
    expect(effectWords({ moreMin: -6, laterH: 0.1, curlMm: null }, 1.5, units)).toEqual(['9 min saved']);
    expect(effectWords({ moreMin: 0.5, laterH: -0.1, curlMm: { before: 9, after: 9.5 } }, 1, units)).toEqual(
      [],
    );
  });

  it('is called as it was said, every way of it', () => {
    expect(
      (
        [
          { edit: 'split', section: 12 },
          { edit: 'join', section: 12, beside: 1012 },
          { edit: 'leave-out', section: 3 },
          { edit: 'thin', section: 3, beside: 4, share: 0.25 },
          { edit: 'between', section: 3, beside: 4 },
          { edit: 'size', sections: [3, 4], diameterMm: 20 },
          { edit: 'size', sections: [1003], diameterMm: 20 },
        ] satisfies PartingEdit[]
      ).map(partingWords),
    ).toEqual([
      'section 12 parted in two',
      'sections 12 and 12b joined',
      'section 3 left out',
      'some hair of section 3 given to 4',
      'one more section between 3 and 4',
      '20 mm for 2 sections',
      '20 mm for section 3b',
    ]);
  });
});

describe('choices', () => {
  const rods = [10, 16, 20].map((diameterMm) => ({
    id: String(diameterMm),
    kind: 'rod',
    diameterMm,
    workingLengthMm: 80,
    owned: 30,
    swatch: '#000000',
  }));
  const changed = (brief: BriefInput, part: Partial<BriefInput>): BriefInput => ({ ...brief, ...part });

  it('another technique brings its own usual choices, and the old one back again', () => {
    const brief = aBrief({ brief: { parting: { pattern: 'rows', part: 'left' } } });
    const onRods = changed(brief, withTechnique(brief, 'rod-set', rods));
    expect(onRods.set).toMatchObject({
      sections: 30,
      endsMethod: 'pasted',
      tool: { diameterMm: 16, owned: 30 },
    });
    expect(onRods.parting).toEqual({ part: 'left' });
    expect(sectionsLabel(onRods.set)).toBe('30 rods');
    const back = changed(onRods, withTechnique(onRods, 'two-strand-twist', rods));
    expect(back.set).toMatchObject({ sections: 18, tool: null });
    expect(withTechnique(brief, 'two-strand-twist', rods)).toEqual({});
    for (const technique of TECHNIQUE_IDS) {
      expect(answerBrief(changed(brief, withTechnique(brief, technique, []))).ok, technique).toBe(true);
    }
  });

  it('a zone done differently is parted for itself, and like the rest again when asked', () => {
    const brief = aBrief();
    const own = changed(brief, withZone(brief, 'nape', { technique: 'comb-coil' }));
    expect(own.set.zones?.nape).toMatchObject({ technique: 'comb-coil', sections: 15 });
    expect(answerBrief(own).ok).toBe(true);
    expect(wholeSetLabel(own.set)).toBe('18 twists, 15 coils');
    expect(changed(own, withZone(own, 'nape', null)).set.zones).toBeUndefined();
  });

  it('a product brings what is known of it and nothing else', () => {
    const product = {
      id: 'p',
      name: 'Foam',
      role: 'mousse',
      waterShare: 0.9,
      hold: null,
      weight: 1,
      hasProtein: false,
      leftG: null,
      usedSinceG: 0,
      sizeG: null,
      priceMinor: null,
      useBy: null,
      mixId: null,
      openedOn: null,
      ingredients: '',
    };
    expect(layerOf(product)).toEqual({ role: 'mousse', waterShare: 0.9, weight: 1 });
    expect(layerOf({ ...product, hasProtein: true })).toMatchObject({ protein: true });
    expect(moved(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
  });

  it('a first plan adds up and is for tomorrow at nine', () => {
    const now = Date.UTC(2026, 9, 24, 23, 30);
    expect(tomorrowMorning(now, 'Europe/Lisbon')).toBe('2026-10-26T09:00');
    expect(
      answerBrief(
        usualPlan('Wren', aBrief().head, {}, { timeZone: 'Europe/Lisbon', hand: 'firm' }, now).brief,
      ).ok,
    ).toBe(true);
  });
});

describe('forecast against what happened', () => {
  const answer = answerBrief(aBrief());
  if (!answer.ok) throw new Error('the usual brief must be readable');
  const plan = answer.value;
  const nothing = {
    workedMin: null,
    checks: [],
    firstDefinition: null,
    stretch: null,
    lastGoodDay: null,
    endedByItself: false,
  };
  const row = (id: string, seen: Partial<typeof nothing> & object) =>
    outcomeRows(plan, { ...nothing, ...seen }).find((own) => own.id === id)!;

  it('says nothing of what was not recorded', () => {
    for (const own of outcomeRows(plan, nothing)) {
      expect(own.happened).toBeNull();
      expect(heldUp(own)).toBeNull();
    }
  });

  it('reads checks as bounds', () => {
    const at = (feel: 'dry' | 'damp', afterH: number) => ({
      sectionNumber: 1,
      level: 'root' as const,
      feel,
      afterH,
    });
    const { p10, p50, p90 } = plan.drying.dryAfterH;
    expect(heldUp(row('dry', { checks: [at('damp', p10), at('dry', p50)] as never }))).toBe(true);
    expect(heldUp(row('dry', { checks: [at('damp', p90 + 1)] as never }))).toBe(false);
    expect(heldUp(row('dry', { checks: [at('dry', p10 - 1)] as never }))).toBe(false);
    expect(heldUp(row('dry', { checks: [at('damp', p10 - 1)] as never }))).toBeNull();
  });

  it('a style cut short only says it lasted at least so long', () => {
    const days = plan.daysPresentable;
    expect(heldUp(row('days', { lastGoodDay: Math.round(days.p50), endedByItself: true } as never))).toBe(
      true,
    );
    expect(heldUp(row('days', { lastGoodDay: 1, endedByItself: false } as never))).toBeNull();
    expect(heldUp(row('days', { lastGoodDay: 20, endedByItself: false } as never))).toBe(false);
  });
});

describe('the calendar of wear', () => {
  it('counts days by the wall and back', () => {
    const takenDown = Date.UTC(2026, 9, 24, 22, 30);
    expect(dayOfWear(takenDown, Date.UTC(2026, 9, 26, 1), 'Europe/Lisbon')).toBe(2);
    expect(dateOfDay(takenDown, 2, 'Europe/Lisbon')).toBe('2026-10-26');
  });
});
