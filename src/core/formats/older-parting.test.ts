import { describe, expect, it } from 'vitest';
import { layOut } from '../parting/layout';
import { readOrThrow } from '../../../tests/support/briefs';
import { aBrief } from '../../../tests/support/briefs';
import { briefOfFile } from './brief-of-file';
import { upgradedBrief, upgradedParting } from './older-parting';

/** Lines as version 1 wrote them: two rows, a section split along each of its axes, one turned to the left. */
const VERSION_1 = {
  v: 1,
  C: 56,
  pattern: 'brick',
  part: { kind: 'none', points: [] },
  panels: [{ id: 'W', t: [-1.74, -0.2, 1.5], g: [[-0.2, 0.3], [0]] }],
  splits: [
    { key: 'W.1.1', axis: 'g', at: -0.5 },
    { key: 'W.2.1', axis: 't', at: 0.6 },
  ],
  merges: [],
  exclude: [],
  marks: { 'W.2.2': { dir: 'left', tool: 'rod:10' } },
} as const;
const VERSION_2 = {
  version: 2,
  circumferenceCm: 56,
  pattern: 'brick',
  part: { kind: 'none', points: [] },
  panels: [{ id: 'W', rowLines: [-1.74, -0.2, 1.5], cuts: [[-0.2, 0.3], [0]] }],
  splits: [
    { key: 'W.1.1', axis: 'cut', at: -0.5 },
    { key: 'W.2.1', axis: 'row', at: 0.6 },
  ],
  merges: [],
  exclude: [],
  marks: { 'W.2.2': { direction: 'left', tool: 'rod:10' } },
} as const;

const with1 = () => ({ ...aBrief(), parting: { recipe: VERSION_1 } });

describe('a parting kept by version 1', () => {
  it('is the same parting under the names of version 2', () => {
    expect(upgradedParting(VERSION_1)).toEqual(VERSION_2);
    expect(upgradedParting(VERSION_2)).toBe(VERSION_2);
  });

  it('is read wherever a brief is, and parts the same sections', () => {
    const { recipe } = readOrThrow(with1() as never).parting;
    expect(layOut(recipe!)).toEqual(layOut({ ...VERSION_2, trial: false }));
    expect(layOut(recipe!).sections).toHaveLength(7);
  });

  it('comes out of a file and of a row in the names of today', () => {
    const file = briefOfFile(JSON.stringify(with1()));
    expect(file).toMatchObject({ ok: true, value: { parting: { recipe: VERSION_2 } } });
    expect(upgradedBrief(with1())).toMatchObject({ parting: { recipe: VERSION_2 } });
  });

  it('a trial of two halves that was a part is a trial without one', () => {
    const lines = { ...VERSION_2, part: { kind: 'half-head', points: [] } };
    const told = { ...aBrief(), parting: { part: 'half-head', recipe: lines } };
    const trial = { parting: { part: 'none', trial: true, recipe: { part: { kind: 'none' }, trial: true } } };
    expect(upgradedBrief(told)).toMatchObject(trial);
    expect(briefOfFile(JSON.stringify(told))).toMatchObject({ ok: true, value: trial });
    expect(readOrThrow(told as never).parting).toMatchObject({ part: 'none', trial: true });
    expect(readOrThrow({ ...aBrief(), parting: { part: 'half-head' } } as never)).toMatchObject({
      parting: { part: 'none', trial: true, recipe: null },
    });
  });

  it.each([null, 7, 'lines', [], { v: 3 }, { version: 2 }, { v: 1 }, { v: 1, panels: 'none', splits: {} }])(
    'what is none, such as %j, is left for the reader to refuse',
    (told) => {
      const brief = { ...aBrief(), parting: { recipe: told } };
      const file = briefOfFile(JSON.stringify(brief));
      expect(file.ok).toBe(false);
      expect(upgradedBrief({ parting: told })).toEqual({ parting: told });
    },
  );
});
