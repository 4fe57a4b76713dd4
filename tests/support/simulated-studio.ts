import {
  LEARNT_OUTCOMES,
  usualSpreads,
  type LearntOutcome,
  type Spreads,
} from '@/core/coefficients/evidence';
import type { LearntSet } from '@/core/evidence/learning';
import type { SetEvidence } from '@/core/evidence/set-evidence';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { seededRng, type Rng } from '@/core/random/rng';
import { normalQuantile } from '@/core/stats/normal';
import { techniqueOf, type TechniqueId } from '@/core/techniques';
import { DAY_MS } from '@/core/units/time';

/** How a simulated studio is made: who sets whom, and how far sets differ in truth. */
export interface Studio {
  readonly seed: number;
  readonly heads: number;
  readonly setsEach: number;
  readonly truth?: Partial<Record<LearntOutcome, Spreads>>;
  readonly techniques?: readonly TechniqueId[];
  readonly stylists?: readonly string[];
  /** Share of styles cut short while still good. */
  readonly cutShort?: number;
}

/** A simulated studio: its log, and what is true of it. */
export interface Simulated {
  readonly sets: LearntSet[];
  /** How far each technique on each head lies from the trade in truth. */
  readonly trueShift: (outcome: LearntOutcome, headId: string, technique: string) => number;
  readonly truePace: (stylist: string) => number;
}

/** A set that tells nothing. */
export const BLANK: SetEvidence = {
  technique: 'two-strand-twist',
  modelVersion: MODEL_VERSION,
  isEnteredLater: false,
  stylist: null,
  days: null,
  definition: null,
  stretch: null,
  install: null,
  rate: null,
  dry: null,
  factors: {
    sections: 18,
    startState: 2,
    hold: null,
    nightShare: null,
    dewPointC: null,
    chanceDry: null,
    doseRatio: null,
  },
  halves: null,
};

const normal = (rng: Rng): number => normalQuantile(rng());

/** Days as a diary has them: whole, and some cut short while still good. */
export function daysOf(lnDays: number, trade: number, rng: Rng, cutShort: number): SetEvidence['days'] {
  const lasted = Math.exp(lnDays);
  const cutAt = lasted * rng();
  const isCut = rng() < cutShort && cutAt >= 1;
  return {
    last: Math.min(90, isCut ? Math.floor(cutAt) : Math.max(0, Math.round(lasted))),
    how: isCut ? 'cut' : 'ended',
    reason: isCut ? 'booking' : 'lost-shape',
    isRecalled: false,
    low: trade * 0.6,
    middle: trade,
    high: trade * 1.6,
    trade,
    ofChoices: 0,
  };
}

/** A studio whose heads and techniques differ by known amounts. Definition is not held to its scale, so that the model is exact. */
export function simulatedStudio({
  seed,
  heads,
  setsEach,
  truth = {},
  techniques = ['two-strand-twist', 'bantu-knot'],
  stylists = ['Ada'],
  cutShort = 0.3,
}: Studio): Simulated {
  const rng = seededRng(seed, 0);
  const spreadsOf = (outcome: LearntOutcome) => truth[outcome] ?? usualSpreads(outcome);
  const shifts = new Map<string, number>();
  const key = (outcome: string, head: string, technique: string) => `${outcome}/${head}/${technique}`;
  const paces = new Map(stylists.map((name) => [name, spreadsOf('pace').stylist * normal(rng)]));
  for (const outcome of LEARNT_OUTCOMES) {
    const spreads = spreadsOf(outcome);
    const root = outcome === 'pace' ? 0 : spreads.stylist * normal(rng);
    for (let h = 0; h < heads; h++) {
      const head = root + spreads.head * normal(rng);
      for (const technique of techniques)
        shifts.set(key(outcome, `head-${h}`, technique), head + spreads.technique * normal(rng));
    }
  }
  const shift = (outcome: LearntOutcome, head: string, technique: string) =>
    shifts.get(key(outcome, head, technique))!;
  const sets: LearntSet[] = [];
  for (let h = 0; h < heads; h++) {
    for (let i = 0; i < setsEach; i++) {
      const headId = `head-${h}`;
      const technique = techniques[Math.floor(rng() * techniques.length)]!;
      const stylist = stylists[Math.floor(rng() * stylists.length)]!;
      const around = (outcome: LearntOutcome) =>
        shift(outcome, headId, technique) + spreadsOf(outcome).set * normal(rng);
      const trade = techniqueOf(technique).coefficients.value.medianDays;
      const judged = (middle: number, came: number) => ({
        low: middle - 1.5,
        middle,
        high: middle + 1.5,
        trade: middle,
        came,
        ofChoices: 0,
      });
      sets.push({
        id: `set-${h}-${i}`,
        headId,
        startedAtMs: (i * heads + h) * DAY_MS,
        period: 0,
        seen: {
          ...BLANK,
          technique,
          stylist,
          days: daysOf(Math.log(trade) + around('days'), trade, rng, cutShort),
          definition: judged(6, 6 + around('definition')),
          stretch: judged(60, 60 + around('stretch')),
          install: judged(90, 90 * Math.exp(paces.get(stylist)! + around('pace'))),
          rate: { value: around('dryingRate'), ownVariance: 0 },
        },
      });
    }
  }
  return { sets, trueShift: shift, truePace: (stylist) => paces.get(stylist)! };
}
