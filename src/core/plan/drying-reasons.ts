import { dryingWords, learntOf } from '../brief/learnt';
import { DENSITY_PER_CM2, STRAND_UM } from '../coefficients/hair';
import type { UncertainDrying } from '../drying/draws';
import { air } from '../drying-methods/air';
import { techniqueOf } from '../techniques';
import type { Reason } from '../wear/reason';
import { startStates } from '../coefficients/start-states';
import type { Brief } from '../brief/brief';
import { hoursToDry, type DryingBasis } from './drying-forecast';
import type { SectionPlan } from './section-forecasts';
import type { WaitingPlan } from './waiting-plan';

/** The head and room that a plan is compared with, one thing at a time. */
const ORDINARY_ROOM = { temperatureC: 22, relativeHumidity: 0.45 };
/** Effects smaller than this say nothing to a stylist, h. */
const SMALLEST_SHOWN_H = 0.1;
/** Sides set less than this apart dry alike for all that is shown, h. */
const APART_H = 0.25;

/** How much sooner one side went in than the other, where that shows; they would dry alike otherwise. */
function sidesInTurn({ setBeforeEndH }: WaitingPlan, sections: readonly SectionPlan[]): string {
  if (!(['left', 'right'] as const).every((side) => sections.some(({ zone }) => zone === side))) return '';
  const earlierH = setBeforeEndH('left') - setBeforeEndH('right');
  if (Math.abs(earlierH) < APART_H) return '';
  const [first, last] = earlierH > 0 ? ['left', 'right'] : ['right', 'left'];
  return `; the ${first} side ${Math.abs(earlierH).toFixed(1)} h before the ${last}, and drier by that`;
}

/**
 * What makes this head dry later or sooner than an ordinary one, in hours: each thing by itself put back to what is
 * usual, and the model run again.
 */
export function dryingReasons(
  brief: Brief,
  sections: readonly SectionPlan[],
  { uncertain, waiting }: DryingBasis,
): Reason[] {
  const { set, room } = brief;
  const technique = techniqueOf(set.technique);
  const usualCount = technique.usualSections;
  const hoursOf = (what: UncertainDrying) => hoursToDry(what, what.rate.median);
  const whole = hoursOf(uncertain);
  const learnt = learntOf(brief.learnt, set.technique).dryingRate;
  const others: readonly (readonly [
    factor: string,
    text: string,
    change: Partial<UncertainDrying> | null,
  ])[] = [
    [
      'product',
      'the products and the water in them',
      set.layers.length > 0 ? { productWaterPerG: [], filmResistanceSM: [] } : null,
    ],
    [
      'start-state',
      startStates[set.startState].phrase,
      set.startState === 'damp' ? null : { startState: 'damp', lostWaiting: [] },
    ],
    ['blotting', 'not blotted once the products were in', set.blotted ? null : { blotted: true }],
    [
      'section-size',
      set.sections < usualCount
        ? `${set.sections} sections, fewer than usual`
        : `${set.sections} sections, more than usual`,
      set.sections === usualCount
        ? null
        : {
            zones: uncertain.zones.map((zone) => ({
              ...zone,
              count: Math.max(1, Math.round((zone.count * usualCount) / set.sections)),
              areaCm2:
                (zone.areaCm2 * zone.count) /
                Math.max(1, Math.round((zone.count * usualCount) / set.sections)),
              largestCm2: (zone.largestCm2 * set.sections) / usualCount,
            })),
          },
    ],
    [
      'drying',
      'the drying you chose, against open air',
      uncertain.steps.every((step) => step.method.id === air.id)
        ? null
        : { steps: [{ method: air, hours: 0 }] },
    ],
    [
      'room',
      `a room of ${Math.round(room.temperatureC)} °C and ${Math.round(room.relativeHumidity * 100)} %`,
      { room: ORDINARY_ROOM },
    ],
    [
      'hair',
      'how dense and how thick this hair is',
      {
        zones: uncertain.zones.map((zone) => ({
          ...zone,
          hairsPerCm2: DENSITY_PER_CM2.medium,
          strandUm: STRAND_UM.medium,
        })),
      },
    ],
    [
      'install',
      `dried while the rest went in${sidesInTurn(waiting, sections)}`,
      waiting.installMin > 0
        ? { zones: uncertain.zones.map((zone) => ({ ...zone, setBeforeEndH: 0 })) }
        : null,
    ],
    [
      'learnt-rate',
      learnt
        ? dryingWords(learnt, 1 / uncertain.rate.median)
        : uncertain.rate.median > 1
          ? 'this head dries quickly'
          : 'this head dries slowly',
      uncertain.rate.median === 1 ? null : { rate: { ...uncertain.rate, median: 1 } },
    ],
  ];
  return others
    .flatMap(([factor, text, change]): Reason[] =>
      change === null ? [] : [{ factor, text, effect: whole - hoursOf({ ...uncertain, ...change }) }],
    )
    .filter((reason) => Math.abs(reason.effect) >= SMALLEST_SHOWN_H)
    .sort((a, b) => Math.abs(b.effect) - Math.abs(a.effect));
}
