import type { Brief } from '../brief/brief';
import type { StartStateId } from '../coefficients/start-states';
import { dueCautions } from '../advice/cautions';
import { chanceDry } from '../drying/rate-belief';
import type { DryingStep } from '../drying/dry-run-input';
import { laySteps, type DryingWindow } from '../schedule/drying-day';
import { layOutDay } from '../schedule/backward';
import { dosesOf, dryMassOf } from '../plan/dosing';
import { beliefBefore, dampAtTakedown, dryingBasis, dryingRoom, readyToDry } from '../plan/drying-forecast';
import { keptNights, nightCoverOf } from '../plan/planned-day';
import { prepParts } from '../plan/prep-parts';
import { planSections, type SectionPlan } from '../plan/section-forecasts';
import { resultOf } from '../plan/set-result';
import { clippedHair, planWaiting, type WaitingPlan } from '../plan/waiting-plan';
import { zoneGroups } from '../plan/zone-groups';
import type { WaitingHair } from '../drying/waiting';
import { productWaterPerG } from '../drying/start-moisture';
import { briefOfWay } from './brief-of-way';
import { stepsOf } from './routes';
import { sketch } from './sketch';
import type { Way } from './way';

/** What a trial says that a sum cannot: drying, and what damp does to the rest. */
export interface Tried {
  readonly chance: number | null;
  readonly definition: number;
  readonly frizz: number;
  readonly days: number;
  readonly stretch: number;
  readonly curlMm: number;
  /** Steps of drying as a plan asks for them. */
  readonly steps: readonly DryingStep[];
  readonly window: DryingWindow;
  readonly isWarned: boolean;
}

/** Cautions that stand whatever is chosen: they tell no way from another. */
const STANDING = ['child'];

/** Work, waiting and time left of ways that differ in layers and drying only. */
interface Setting {
  readonly brief: Brief;
  readonly sections: readonly SectionPlan[];
  readonly waiting: WaitingPlan;
  readonly window: DryingWindow;
  readonly isAsleepWork: boolean;
}

/** Whether blown air before the rest would go on into a night. */
const isBlownAsleep = ({ first }: Way['route'], { nights }: DryingWindow) =>
  first !== null && !first.method.canSleepIn && nights.some(({ fromH }) => fromH < first.hours);

/** Water is told apart in steps of this, g per g of hair: nobody sees less. */
const WATER_STEP = 0.06;

/** When a set may begin and must be ready. */
export interface Times {
  readonly startMs: number;
  readonly readyMs: number;
}

/** Where no time is set, ways are tried over a night. */
export const NOMINAL_H = 15;

/** Tries ways with the model of drying itself; what they share is worked out once. */
export class Trials {
  private readonly settings = new Map<string, Setting>();
  private readonly hair = new Map<StartStateId, WaitingHair>();
  private readonly dried = new Map<string, { chance: number; damp: number } | null>();
  /** Runs of the drying model so far. */
  runs = 0;

  constructor(
    private readonly base: Brief,
    private readonly times: Times,
    /** Whether somebody has to be dry by then. */
    private readonly isTimed: boolean,
  ) {}

  private setting(way: Way): Setting {
    const { set, startState, rootMethod, endsMethod } = way;
    const key = [set.technique, set.sections, set.tool?.diameterMm, startState, rootMethod, endsMethod].join(
      '/',
    );
    const known = this.settings.get(key);
    if (known) return known;
    const brief = briefOfWay(this.base, way, []);
    const sections = planSections(brief, sketch(set.sections, brief.parting.sizes));
    const room = dryingRoom(brief.room);
    const hair = this.hair.get(startState) ?? clippedHair(brief, sections, room);
    this.hair.set(startState, hair);
    const waiting = planWaiting(brief, sections, room, hair);
    const sum = (of: (section: SectionPlan) => number) =>
      sections.reduce((all, section) => all + of(section), 0);
    const day = layOutDay(
      {
        prep: prepParts(brief, sections),
        installMin: waiting.installMin,
        neededH: () => 0,
        drying: [],
        nightCover: nightCoverOf(brief),
        takedownMin: sum((section) => section.takedownMin),
        separatingMin: sum((section) => section.separatingMin),
      },
      this.times.readyMs,
      this.times.startMs,
      keptNights(brief),
    );
    const setting = {
      brief,
      sections,
      waiting,
      window: day.window,
      isAsleepWork: day.asleep.some(({ step }) => step !== 'dry'),
    };
    this.settings.set(key, setting);
    return setting;
  }

  /** Time there is to dry a way, h. */
  window(way: Way): DryingWindow {
    return this.setting(way).window;
  }

  /** What comes of a way; null where there is no time to dry it so. */
  try(way: Way): Tried | null {
    const setting = this.setting(way);
    const { window, sections } = setting;
    const steps = window.hours > 0 ? stepsOf(way.route, window) : null;
    if (!steps) return null;
    const brief: Brief = {
      ...setting.brief,
      set: { ...setting.brief.set, layers: way.stack.layers },
      wear: { ...this.base.wear, ...way.habit },
      drying: steps,
    };
    const doses = dosesOf(brief, sections);
    const layers = doses.map(({ layer }) => layer);
    const water = Math.round(productWaterPerG(layers, dryMassOf(sections)) / WATER_STEP);
    const { set, startState, rootMethod, endsMethod, route } = way;
    const key = [
      set.technique,
      set.sections,
      set.tool?.diameterMm,
      startState,
      rootMethod,
      endsMethod,
      route.id,
      water,
    ].join('/');
    let dried = this.dried.get(key);
    if (dried === undefined) {
      this.runs++;
      const ready = readyToDry(brief, sections, layers, { waiting: setting.waiting });
      const basis = dryingBasis(ready, laySteps(steps, window), true);
      const belief = beliefBefore(ready);
      dried = {
        chance: chanceDry(belief, basis.all, window.hours),
        damp: dampAtTakedown({ table: basis.table, belief }, window.hours).mean,
      };
      this.dried.set(key, dried);
    }
    const groups = zoneGroups(brief, sections);
    const result = resultOf(brief, groups, doses, this.isTimed ? dried!.damp : 0, 0);
    const first = result.byDay[0]!;
    const isTight = sections.some(({ form }) => form.knot?.comfort === 'tight');
    return {
      chance: this.isTimed ? dried!.chance : null,
      definition: result.definition.value,
      frizz: result.frizz.value,
      days: result.days.p50,
      stretch: first.stretch,
      curlMm: first.curlDiameterMm,
      steps,
      window,
      isWarned:
        isTight ||
        (this.isTimed && (setting.isAsleepWork || isBlownAsleep(way.route, window))) ||
        dueCautions({ brief, facts: null, daysInSet: null }).some(
          ({ severity, code }) => severity === 'warn' && !STANDING.includes(code),
        ),
    };
  }
}
