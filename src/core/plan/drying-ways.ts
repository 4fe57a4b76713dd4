import type { Brief } from '../brief/brief';
import type { DryingStep } from '../drying/dry-run-input';
import { chanceDry } from '../drying/rate-belief';
import { dryingMethods } from '../drying-methods';
import { bearableHood } from '../drying-methods/bearable-hood';
import type { DryingMethod } from '../drying-methods/method';
import type { Layout } from '../parting/layout';
import { asAsked, laySteps } from '../schedule/drying-day';
import { dosesOf } from './dosing';
import { dryingBasis, dryingForecast, readyToDry } from './drying-forecast';
import { plannedDay } from './planned-day';
import { planSections } from './section-forecasts';

/** One way to dry a set, and how long it takes on this hair. */
export interface DryingWay {
  readonly id: 'air' | 'overnight' | 'hood' | 'diffuser';
  readonly label: string;
  /** Hours to dry, in the middle. */
  readonly dryAfterH: number;
  /** Hours after which it is surely dry. */
  readonly sureAfterH: number;
  /** Chance that it is dry at takedown, dried so from the end of the set on; null without a time. */
  readonly chance: number | null;
}

/** Longer than anybody's night or sitting: until it is dry. */
const UNTIL_DRY_H = 96;
const NIGHT_H = 10;

const until = (method: DryingMethod, hours = UNTIL_DRY_H): DryingStep => ({ method, hours });

/**
 * How long a set would take to dry in each of four ways, so that one is chosen by looking: in the open, over a night
 * under satin, under a hood, with a diffuser. For hair that heat harms and for a child the hood is on cool.
 *
 * @param brief its own drying is not looked at
 */
export function dryingWays(brief: Brief, layout: Layout): DryingWay[] {
  const { air, bonnet, diffuser } = dryingMethods;
  const hood = dryingMethods[bearableHood(brief.head.conditions)];
  const sections = planSections(brief, layout);
  const layers = dosesOf(brief, sections).map(({ layer }) => layer);
  const ways: readonly (readonly [DryingWay['id'], string, readonly DryingStep[]])[] = [
    ['air', 'Air', [until(air)]],
    ['overnight', 'Overnight', [until(bonnet, NIGHT_H), until(air)]],
    ['hood', hood.id === 'hood-cool' ? 'Hood, cool' : 'Hood, warm', [until(hood)]],
    ['diffuser', 'Diffuser', [until(diffuser)]],
  ];
  return ways.map(([id, label, drying]) => {
    const asked = { ...brief, drying };
    const ready = readyToDry(asked, sections, layers);
    const { schedule } = plannedDay(asked, sections, ready);
    const basis = dryingBasis(ready, schedule ? laySteps(drying, schedule.window) : asAsked(drying), true);
    const { belief, dryAfterH, sureAfterH } = dryingForecast(basis, []);
    const windowH = schedule?.window.hours ?? null;
    return {
      id,
      label,
      dryAfterH: dryAfterH.p50,
      sureAfterH,
      chance: windowH === null ? null : windowH <= 0 ? 0 : chanceDry(belief, basis.all, windowH),
    };
  });
}
