import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAUSE_IDS, causes, NO_FACTS, SYMPTOM_IDS, type FaultFacts, type SymptomId } from './causes';
import { findFault, type SeenSymptoms } from './fault-finder';

const seen = (...ids: SymptomId[]): SeenSymptoms => Object.fromEntries(ids.map((id) => [id, 'present']));
const facts = (known: Partial<FaultFacts>): FaultFacts => ({ ...NO_FACTS, ...known });
const shareOf = (id: string, ...args: Parameters<typeof findFault>) =>
  findFault(...args).ranked.find((cause) => cause.id === id)!;

describe('what went wrong (worked figures, evidence §5; common practice)', () => {
  it('damp at takedown, with frizz and shape gone', () => {
    const args = [
      seen('frizz-all', 'lost-by-two'),
      facts({ chanceDry: 0.6, doseRatio: 1, nightsMissed: 0 }),
    ] as const;
    expect(shareOf('before-dry', ...args).score).toBeCloseTo(2.806, 3);
    expect(Math.abs(shareOf('before-dry', ...args).share - 0.7014)).toBeLessThan(5e-4);
    expect(Math.abs(shareOf('too-little', ...args).share - 0.0701)).toBeLessThan(5e-4);
    const { told } = findFault(...args);
    expect(told[0]).toMatchObject({ id: 'before-dry', sureness: 'most likely' });
    expect(told[0]!.reasons).toEqual([
      { text: 'shape gone by day 2', isFact: false },
      { text: 'frizz all over', isFact: false },
    ]);
  });

  it.each([
    ['too-much', ['limp', 'damp-inside'], { chanceDry: 0.9, doseRatio: 1.7 }, 0.748],
    ['root-method', ['roots-unlike', 'frizz-roots'], { rootsStretched: false, chanceDry: 0.98 }, 0.517],
    ['too-tight', ['scalp'], { tension: 8, newAtScalp: false }, 0.415],
    ['scalp-disagrees', ['scalp'], { tension: 2, newAtScalp: true }, 0.369],
    ['ends-worn', ['puffy-ends'], { endsHeld: true, weeksSinceTrim: 30 }, 0.285],
    ['ends-open', ['puffy-ends'], { endsHeld: false, weeksSinceTrim: 6 }, 0.337],
    ['uneven-parting', ['uneven'], { sizeCv: 0.45 }, 0.412],
    ['damp-air', ['shrank', 'frizz-all'], { chanceDry: 0.97, dewPointC: 21 }, 0.649],
    ['do-not-mix', ['flakes'], { mixFailed: true }, 0.453],
  ] as const)('%s', (id, ids, known, share) => {
    const finding = findFault(seen(...ids), facts(known));
    expect(finding.ranked[0]!.id).toBe(id);
    expect(Math.abs(finding.ranked[0]!.share - share)).toBeLessThan(1e-3);
  });

  it('says nothing where nothing is ticked, and the scalp first where it is sore', () => {
    expect(findFault({}, facts({ chanceDry: 0.3 }))).toMatchObject({ verdict: 'nothing-seen', told: [] });
    expect(findFault(seen('scalp'), NO_FACTS).isScalpFirst).toBe(true);
  });

  it('names at most three, none under one in ten, and no more than one as most likely', () => {
    const state = fc.constantFrom('present' as const, 'absent' as const, undefined);
    const any = fc.record(Object.fromEntries(SYMPTOM_IDS.map((id) => [id, state])));
    fc.assert(
      fc.property(any, fc.double({ min: 0, max: 1, noNaN: true }), (ticked, chanceDry) => {
        const { ranked, told } = findFault(ticked as SeenSymptoms, facts({ chanceDry }));
        expect(ranked.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(told.length).toBeLessThanOrEqual(3);
        for (const { share, reasons } of told) {
          expect(share).toBeGreaterThanOrEqual(0.1);
          expect(reasons.length).toBeLessThanOrEqual(2);
        }
        expect(told.filter(({ sureness }) => sureness === 'most likely').length).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('no two causes are called alike, and each says what to do', () => {
    expect(new Set(CAUSE_IDS.map((id) => causes[id].label)).size).toBe(CAUSE_IDS.length);
    for (const id of CAUSE_IDS) expect(causes[id].nextTime).toMatch(/\.$/);
  });
});
