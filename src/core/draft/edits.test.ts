import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { wishOf } from '../../../tests/support/wishes';
import { fitTo } from '../fit/fit';
import { readFit } from '../fit/read-fit';
import type { BriefInput } from '../formats/brief';
import { answerDraft, drawTo } from '../plan/answer-view';
import { ask } from '../suggest/ask';
import { optionOf } from '../suggest/option';
import { ran } from '../work';
import { carriedTo, onClockOf, withTrial, withOption, withZone, withZoneTool } from './edits';

const AVAILABLE_H = 14;
const DRAWS = 50;

/** The options of a search that is run to its end. */
function found(input: BriefInput) {
  const read = readFit(
    input,
    wishOf(
      {},
      {
        handsOnHours: 4,
        sureness: 0.5,
        shelf: {
          tools: [{ kind: 'rod', diameterMm: 14, workingLengthMm: 80, owned: 60 }],
          drying: ['air', 'bonnet', 'hood-hot'],
        },
      },
    ),
    AVAILABLE_H,
  );
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  const { told, wish } = read.value;
  const asked = ask(wish);
  const { options } = ran(fitTo(wish, { daysAtLeast: null, curlMm: null }));
  return options.map(({ pick }) => optionOf(told, asked, pick, DRAWS));
}

const wearBy = { brief: { wearBy: '2027-03-13T09:00:00+00:00' } };
const CASES: Record<string, BriefInput> = {
  'a plain head': aBrief(wearBy),
  'two halves compared': aBrief({ brief: { ...wearBy.brief, parting: { trial: true } } }),
  'ends wound on rods': aBrief({
    ...wearBy,
    set: { endsMethod: 'rod', tool: { diameterMm: 12, workingLengthMm: 80, owned: 30 } },
  }),
  'bleached, short in the nape, parted aside, a zone of its own': aBrief({
    brief: { ...wearBy.brief, parting: { part: 'left', zoneSize: { crown: 0.7 } } },
    head: {
      conditions: ['bleached'],
      stretchedLengthCm: { front: 16, crown: 22, left: 16, right: 16, back: 20, nape: 3 },
    },
    set: { zones: { nape: { technique: 'comb-coil' } }, rootMethod: 'outside-plaited' },
  }),
};

describe('an option of a search that is taken as the plan', () => {
  it.each(Object.entries(CASES))('gives the plan that it showed: %s', (_, input) => {
    const options = found(input);
    expect(options.length).toBeGreaterThan(1);
    for (const option of options) {
      const taken = withOption({ title: '', brief: input, layerProductIds: [] }, option);
      const asked = answerDraft(taken.brief, null);
      if (!asked.ok) throw new Error(JSON.stringify(asked.errors));
      drawTo(asked.value, DRAWS);
      const { plan } = asked.value.view(DRAWS).view;
      const { prepMin, installMin, takedownMin, separatingMin } = plan.handsOn;
      expect({
        chance: plan.drying.chanceDryAtWearBy,
        workMin: installMin.p50 + prepMin + takedownMin + separatingMin,
        definition: plan.result.definition,
        days: plan.daysPresentable,
        stretch: plan.result.stretch,
        curlMm: plan.result.curlDiameterMm,
      }).toEqual({
        chance: option.figures.chanceDryAtWearBy,
        workMin: expect.closeTo(option.ranges.workMin.p50, 9) as number,
        definition: option.ranges.definition,
        days: option.ranges.days,
        stretch: option.figures.stretch,
        curlMm: option.figures.curlDiameterMm,
      });
    }
  });
});

describe('times of a brief on another clock', () => {
  const own = (wearBy: string, timeZone?: string) => ({
    ...aBrief(),
    wearBy,
    ...(timeZone ? { timeZone } : {}),
  });
  const msOf = (brief: BriefInput) => readOrThrow(brief).wearByMs;

  it('written on the clock of a zone they are the same moments', () => {
    for (const brief of [own('2027-03-13T09:00', 'Europe/Lisbon'), own('2027-03-13T09:00:00-06:00')]) {
      const there = onClockOf(brief, 'Asia/Kolkata');
      expect(there.timeZone).toBe('Asia/Kolkata');
      expect(msOf(there)).toBe(msOf(brief));
      expect(there.wearBy).toMatch(/^2027-03-13T\d\d:\d\d$/);
    }
    expect(onClockOf(own('2027-03-13T09:00', 'Europe/Lisbon'), 'Asia/Kolkata').wearBy).toBe(
      '2027-03-13T14:30',
    );
  });

  it('carried to another zone nine stays nine, written with an offset or not', () => {
    const carried = (brief: BriefInput) => carriedTo(brief, 'Europe/Lisbon', 'Australia/Brisbane');
    for (const brief of [
      own('2027-03-13T09:00', 'Europe/Lisbon'),
      own('2027-03-13T09:00:00Z', 'Europe/Lisbon'),
    ]) {
      expect(carried(brief)).toMatchObject({ wearBy: '2027-03-13T09:00', timeZone: 'Australia/Brisbane' });
    }
    const both = carried({
      ...own('2027-03-13T09:00', 'Europe/Lisbon'),
      startAt: '2027-03-12T18:00:00+00:00',
    });
    expect(readOrThrow(both).wearByMs! - readOrThrow(both).startAtMs!).toBe(15 * 3_600_000);
  });
});

describe('a zone done in its own way, and two halves', () => {
  const CROWN_TOOL = { diameterMm: 20, workingLengthMm: 80, owned: 12 };
  const draft = (part: object = {}, parting: object = {}): BriefInput => ({
    ...aBrief({
      set: {
        technique: 'rod-set',
        sections: 24,
        endsMethod: 'pasted',
        rootMethod: 'plain',
        ...part,
      } as never,
    }),
    parting,
  });
  const read = (brief: BriefInput, change: Partial<BriefInput>) => readOrThrow({ ...brief, ...change });

  it('a back that is parted for itself has no rows asked for any more; another zone leaves them', () => {
    const brief = draft({}, { backRows: 4 });
    expect(read(brief, withZone(brief, 'nape', { technique: 'comb-coil' })).parting.backRows).toBeNull();
    expect(read(brief, withZone(brief, 'front', { technique: 'comb-coil' })).parting.backRows).toBe(4);
  });

  it('a size of its own moves no line, and goes again without a trace', () => {
    const brief = draft();
    const sized = { ...brief, ...withZoneTool(brief, 'crown', CROWN_TOOL) };
    const { zones, set } = readOrThrow(sized);
    expect(zones.crown).toMatchObject({ technique: 'rod-set', sections: null, tool: { diameterMm: 20 } });
    expect(set.sections).toBe(24);
    expect({ ...sized, ...withZoneTool(sized, 'crown', null) }.set.zones).toBeUndefined();
    // What else is done there stays.
    const coiled = { ...brief, ...withZone(brief, 'crown', { technique: 'braid-with-rods', sections: 5 }) };
    const both = { ...coiled, ...withZoneTool(coiled, 'crown', CROWN_TOOL) };
    expect(both.set.zones?.crown).toEqual({ technique: 'braid-with-rods', sections: 5, tool: CROWN_TOOL });
    expect({ ...both, ...withZoneTool(both, 'crown', null) }.set.zones).toEqual(coiled.set.zones);
  });

  it('a trial takes an even number and parts zones with the rest; its part stays, and comes back with it', () => {
    const brief = draft(
      { sections: 23, zones: { nape: { technique: 'comb-coil', sections: 5 } } },
      { part: 'left' },
    );
    const planned = { title: '', brief, layerProductIds: [] };
    const trial = withTrial(planned, true);
    const { parting, set, zones } = readOrThrow(trial.brief);
    expect(parting).toMatchObject({ part: 'left', trial: true });
    expect(set.sections).toBe(24);
    expect(zones.nape).toMatchObject({ technique: 'comb-coil', sections: null });
    expect(readOrThrow(withTrial(trial, false).brief).parting).toMatchObject({
      part: 'left',
      trial: false,
    });
  });

  it('what was for one half goes with the trial: the left one’s is for the whole head, the right one’s is left out', () => {
    const layers = [
      { role: 'leave-in' },
      { role: 'gel', half: 'left' },
      { role: 'mousse', half: 'right' },
    ] as const;
    const brief = draft({ sections: 24, layers: [...layers] }, { trial: true, namesHidden: true });
    const left = withTrial({ title: '', brief, layerProductIds: ['a', 'b', 'c'] }, false);
    expect(left.brief.set.layers).toEqual([{ role: 'leave-in' }, { role: 'gel' }]);
    expect(left.layerProductIds).toEqual(['a', 'b']);
    expect(left.brief.parting).toEqual({});
  });
});
