import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { startStates } from '../coefficients/start-states';
import { isHotAir } from '../drying-methods/method';
import { dryingMethods } from '../drying-methods';
import type { PlannedTool } from '../brief/brief';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import { ParetoFront } from '../stats/pareto';
import { TECHNIQUE_IDS, techniqueOf } from '../techniques';
import { HOUR_MS } from '../units/time';
import { briefOf, HOT_SITTING_H, stepsOf, type Candidate } from './candidate';
import { candidateWords, optionsOf } from './options';
import { QuickForecaster } from './quick';
import { scoresOf, search, unmet, type Choice, type SearchState, type Wishes } from './search';
import { candidates, routesOf, type Means } from './space';

const READY = Date.UTC(2027, 2, 13, 9);
const base = readOrThrow(aBrief());
const rod = (diameterMm: number, owned = 60): PlannedTool => ({
  kind: 'rod',
  diameterMm,
  workingLengthMm: 80,
  owned,
});
const everything: Means = {
  techniques: TECHNIQUE_IDS,
  tools: [rod(12), rod(20)],
  drying: ['air', 'bonnet', 'hood-hot', 'hood-warm'],
};
const wishesOf = (change: Partial<Wishes> = {}): Wishes => ({
  readyMs: READY,
  startMs: READY - 14 * HOUR_MS,
  handsOnMaxMin: null,
  daysAtLeast: null,
  curlMm: null,
  chanceAtLeast: 0.8,
  ...change,
});
function finished(means: Means, wishes: Wishes): SearchState {
  const steps = search(base, means, wishes);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
const scoresIn = (choices: readonly Choice[]) => choices.map((choice) => scoresOf(choice).join('/')).sort();

/** What the whole forecast says of a candidate. */
function inFull(candidate: Candidate, windowH: number) {
  const brief = {
    ...briefOf(base, candidate, stepsOf(candidate.drying, windowH)!),
    wearByMs: READY,
    startAtMs: READY - 14 * HOUR_MS,
  };
  const { plan } = forecast(brief, layoutFor(brief), 0);
  return {
    chance: plan.drying.chanceDryAtWearBy!,
    workMin:
      plan.handsOn.prepMin +
      plan.handsOn.installMin.p50 +
      plan.handsOn.takedownMin +
      plan.handsOn.separatingMin,
    definition: plan.result.definition.p50,
    days: plan.daysPresentable.p50,
    stretch: plan.result.stretch,
    curlMm: plan.result.curlDiameterMm,
  };
}

describe('the front of what none beats', () => {
  it('is what comparing each with each gives', () => {
    const points = fc.array(fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 3, maxLength: 3 }), {
      maxLength: 40,
    });
    fc.assert(
      fc.property(points, (all) => {
        const front = new ParetoFront<number[]>((own) => own);
        for (const own of all) front.add(own);
        const beaten = (own: number[]) =>
          all.some((other) => other.every((x, i) => x >= own[i]!) && other.some((x, i) => x > own[i]!));
        expect(front.items.map(String).sort()).toEqual(
          all
            .filter((own) => !beaten(own))
            .map(String)
            .sort(),
        );
      }),
    );
  });
});

describe('the quick forecast of a candidate', () => {
  const forecaster = new QuickForecaster(base, READY, READY - 14 * HOUR_MS);
  const some = candidates(base, everything).filter((_, i) => i % 97 === 0);

  it('says nearly what the whole forecast says', () => {
    const off: number[] = [];
    for (const candidate of some) {
      const work = forecaster.work(candidate);
      const outcome = work && forecaster.outcome(work);
      if (!work || !outcome) continue;
      const full = inFull(candidate, work.window.hours);
      const words = candidateWords(candidate);
      const workMin = full.workMin;
      expect(Math.abs(outcome.handsOnMin / workMin - 1), words).toBeLessThan(0.03);
      expect(Math.abs(outcome.definition - full.definition), words).toBeLessThan(0.4);
      expect(Math.abs(outcome.days / full.days - 1), words).toBeLessThan(0.08);
      expect(Math.abs(outcome.stretch - full.stretch), words).toBeLessThan(0.03);
      expect(Math.abs(outcome.curlMm / full.curlMm - 1), words).toBeLessThan(0.07);
      off.push(Math.abs(outcome.chance - full.chance));
    }
    expect(off.length).toBeGreaterThan(10);
    expect(Math.max(...off)).toBeLessThan(0.22);
    expect(off.reduce((sum, own) => sum + own, 0) / off.length).toBeLessThan(0.04);
  });

  it('refuses what the hair cannot carry', () => {
    const short = readOrThrow(aBrief({ head: { stretchedLengthCm: 3 } }));
    const braids: Candidate = {
      technique: 'braid',
      sections: 12,
      tool: null,
      startState: 'damp',
      drying: { overnight: false, method: 'air' },
    };
    expect(new QuickForecaster(short, READY, READY - 14 * HOUR_MS).work(braids)).toBeNull();
  });
});

describe('a tapered cut', () => {
  const tapered = readOrThrow(
    aBrief({
      head: {
        stretchedLengthCm: { front: 14, crown: 15, left: 12, right: 12, back: 12, nape: 3 },
        conditions: ['tapered-cut'],
      },
    }),
  );
  const twists: Candidate = {
    technique: 'two-strand-twist',
    sections: 24,
    tool: null,
    startState: 'damp',
    drying: { overnight: true, method: 'air' },
  };

  it('is done otherwise where the hair cannot carry it, and the whole plan agrees', () => {
    const work = new QuickForecaster(tapered, READY, READY - 14 * HOUR_MS).work(twists);
    expect(Object.keys(work!.zones)).toEqual(['nape']);
    const nape = work!.zones.nape!;
    expect(nape).not.toBe('two-strand-twist');
    expect(candidateWords(twists, work!.zones)).toContain(`as ${techniqueOf(nape).noun[1]} at the nape`);
    const brief = briefOf(tapered, twists, stepsOf(twists.drying, work!.window.hours)!, work!.zones);
    const { plan } = forecast(brief, layoutFor(brief), 0);
    expect(plan.zones.filter(({ problem }) => problem !== null)).toEqual([]);
    expect(plan.zones.find(({ zone }) => zone === 'nape')!.technique).toBe(nape);
  });

  it('finds options that a search alike all over would not', () => {
    const means: Means = { techniques: ['two-strand-twist', 'braid'], tools: [], drying: ['bonnet', 'air'] };
    const wishes = wishesOf({ chanceAtLeast: 0.3 });
    const steps = search(tapered, means, wishes);
    let value: SearchState;
    for (;;) {
      const next = steps.next();
      value = next.value;
      if (next.done) break;
    }
    expect(value.front.length).toBeGreaterThan(0);
    expect(value.front.every(({ zones }) => zones.nape !== undefined)).toBe(true);
  });

  it('of which most would be done otherwise is not that set at all', () => {
    const short = readOrThrow(
      aBrief({ head: { stretchedLengthCm: { front: 14, crown: 3, left: 3, right: 3, back: 3, nape: 3 } } }),
    );
    expect(new QuickForecaster(short, READY, READY - 14 * HOUR_MS).work(twists)).toBeNull();
  });
});

describe('the space of a search', () => {
  it('keeps to what there is: tools enough to go round, ways to dry at hand', () => {
    const all = candidates(base, { ...everything, tools: [rod(12, 25)], drying: ['air'] });
    for (const { technique, tool, sections, startState, drying } of all) {
      const own = techniqueOf(technique);
      if (own.tool) expect(tool!.owned).toBeGreaterThanOrEqual(sections);
      else expect(tool).toBeNull();
      if (own.needsStretched) expect(startStates[startState].straightened).toBeGreaterThan(0.5);
      if (own.needsWet) expect(startStates[startState].moisture.kind).toBe('free');
      expect(drying).toEqual({ overnight: false, method: 'air' });
    }
    expect(all.some(({ technique }) => technique === 'flexible-rod-set')).toBe(false);
  });

  it('keeps hot air off bleached and heat-worn hair', () => {
    const methods = ['air', 'bonnet', 'hood-hot', 'hood-cool', 'diffuser'] as const;
    expect(routesOf(methods, []).some(({ method }) => isHotAir(dryingMethods[method]))).toBe(true);
    for (const condition of ['bleached', 'heat-damaged']) {
      const routes = routesOf(methods, [condition]);
      expect(routes.some(({ method }) => isHotAir(dryingMethods[method]))).toBe(false);
      // A cool hood blows air of 44 °C: weak hair may sit under it.
      expect(routes.some(({ method }) => method === 'hood-cool')).toBe(true);
    }
  });

  it('lets a night be as long as the time allows, or not at all', () => {
    const route = { overnight: true, method: 'hood-warm' } as const;
    expect(stepsOf(route, 4)).toBeNull();
    expect(stepsOf(route, 9.3)!.map(({ hours }) => hours)).toEqual([8.25, 1]);
    expect(stepsOf(route, 30)!.map(({ hours }) => hours)).toEqual([10, 1]);
  });

  it('asks nobody to sit under hot air for longer than two hours', () => {
    for (const windowH of [0.5, 1.9, 3, 14]) {
      const hot = stepsOf({ overnight: false, method: 'hood-hot' }, windowH)!;
      expect(hot).toHaveLength(1);
      expect(hot[0]!.hours).toBe(Math.min(HOT_SITTING_H, windowH));
    }
  });
});

describe('fit to my time', () => {
  const small: Means = {
    techniques: ['two-strand-twist', 'braid', 'rod-set'],
    tools: [rod(12)],
    drying: ['bonnet', 'hood-hot'],
  };

  it('finds just what going through everything finds', () => {
    for (const wishes of [
      wishesOf(),
      wishesOf({ handsOnMaxMin: 120, daysAtLeast: 3 }),
      wishesOf({ curlMm: { low: 8, high: 12 }, startMs: READY - 5 * HOUR_MS }),
    ]) {
      const forecaster = new QuickForecaster(base, wishes.readyMs, wishes.startMs);
      const fitting = candidates(base, small).flatMap((candidate): Choice[] => {
        const work = forecaster.work(candidate);
        const outcome = work && forecaster.outcome(work);
        const choice = outcome && { candidate, zones: work.zones, outcome, windowH: work.window.hours };
        return choice && unmet(choice, wishes).length === 0 ? [choice] : [];
      });
      const beaten = (own: Choice) =>
        fitting.some((other) => {
          const [a, b] = [scoresOf(other), scoresOf(own)];
          return a.every((x, i) => x >= b[i]!) && a.some((x, i) => x > b[i]!);
        });
      const { front, looked, of } = finished(small, wishes);
      expect(looked).toBe(of);
      expect(scoresIn(front)).toEqual(scoresIn(fitting.filter((own) => !beaten(own))));
      expect(front.length).toBeGreaterThan(0);
    }
  });

  it('its best at each thing is the best that whole forecasts find, nearly', () => {
    const few: Means = { ...small, techniques: ['two-strand-twist', 'braid'], drying: ['bonnet'] };
    const wishes = wishesOf();
    const forecaster = new QuickForecaster(base, wishes.readyMs, wishes.startMs);
    const full = candidates(base, few).flatMap((candidate) => {
      const work = forecaster.work(candidate);
      return work && work.window.hours > 0 ? [inFull(candidate, work.window.hours)] : [];
    });
    const ready = full.filter(({ chance }) => chance >= wishes.chanceAtLeast);
    const { front } = finished(few, wishes);
    const best = (of: (one: { definition: number; days: number; stretch: number }) => number) => [
      Math.max(...front.map(({ outcome }) => of(outcome))),
      Math.max(...ready.map(of)),
    ];
    for (const of of [
      (one: { definition: number }) => one.definition,
      (one: { days: number }) => one.days,
      (one: { stretch: number }) => one.stretch,
    ]) {
      const [found, really] = best(of as never) as [number, number];
      expect(Math.abs(found / really - 1)).toBeLessThan(0.06);
    }
  });

  it('shows how far it is, and has something to show long before the end', () => {
    const states = [...search(base, everything, wishesOf({ handsOnMaxMin: 90 }), 50)];
    states.reduce((last, { looked }) => {
      expect(looked).toBeGreaterThanOrEqual(last);
      return looked;
    }, 0);
    const firstShown = states.findIndex(({ front }) => front.length > 0);
    expect(firstShown).toBeGreaterThanOrEqual(0);
    expect(states[firstShown]!.looked).toBeLessThan(states[0]!.of / 4);
  });

  it('names a few options, each once, and all keep to the wishes', () => {
    const wishes = wishesOf({ handsOnMaxMin: 120, daysAtLeast: 3 });
    const options = optionsOf(finished(everything, wishes).front);
    expect(options.length).toBeGreaterThan(1);
    expect(options.length).toBeLessThanOrEqual(6);
    const strengths = options.flatMap((option) => option.strengths);
    expect(new Set(strengths).size).toBe(strengths.length);
    expect(strengths).toContain('rounded');
    for (const option of options) {
      expect(unmet(option, wishes)).toEqual([]);
      expect(candidateWords(option.candidate)).not.toMatch(/undefined/);
    }
    const quickest = options.find((option) => option.strengths.includes('quickest'))!;
    for (const option of options) {
      expect(quickest.outcome.handsOnMin).toBeLessThanOrEqual(option.outcome.handsOnMin + 5);
    }
    expect(optionsOf([])).toEqual([]);
  });

  it('says what would have to give when nothing fits, and that alone would do', () => {
    const wishes = wishesOf({ startMs: READY - 3 * HOUR_MS, handsOnMaxMin: 60, daysAtLeast: 4 });
    const { front, relaxed } = finished(everything, wishes);
    expect(front).toEqual([]);
    expect(relaxed.length).toBeGreaterThan(0);
    for (const { wish, choice } of relaxed) expect(unmet(choice, wishes)).toEqual([wish]);
    const impossible = finished(everything, wishesOf({ startMs: READY - HOUR_MS / 2 }));
    expect(impossible.front).toEqual([]);
    expect(impossible.relaxed).toEqual([]);
  });
});
