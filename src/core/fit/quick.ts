import { chanceDry } from '../drying/rate-belief';
import type { WaitingHair } from '../drying/waiting';
import type { Zone } from '../hair/zone';
import { layOutDay, type PrepPart } from '../schedule/backward';
import { laySteps, type DryingWindow } from '../schedule/drying-day';
import { keptNights, nightCoverOf } from '../plan/planned-day';
import { shareOut } from '../parting/generate';
import type { Layout, LaidSection } from '../parting/layout';
import type { Quadrant } from '../parting/quadrant';
import { zoneShares } from '../parting/zone-outlines';
import type { Brief } from '../brief/brief';
import { dosesOf } from '../plan/dosing';
import type { Dose } from '../products/dose';
import { beliefBefore, dampAtTakedown, dryingBasis, dryingRoom, readyToDry } from '../plan/drying-forecast';
import { prepParts, prepWorkMin } from '../plan/prep-parts';
import { planSections, type SectionPlan } from '../plan/section-forecasts';
import { resultOf } from '../plan/set-result';
import { clippedHair, planWaiting, type WaitingPlan } from '../plan/waiting-plan';
import { zoneGroups } from '../plan/zone-groups';
import { zoneVerdicts } from '../plan/zone-verdicts';
import type { ZoneVerdict } from '../techniques/zone-verdict';
import { briefOf, stepsOf, type Candidate, type ZoneTechniques } from './candidate';

/** What comes of a candidate, worked out quickly enough for thousands of them. */
export interface Outcome {
  /** Chance that every root is dry at takedown. */
  readonly chance: number;
  /** Washing and preparing, setting, undoing. */
  readonly handsOnMin: number;
  readonly definition: number;
  readonly days: number;
  readonly stretch: number;
  readonly curlMm: number;
}

/** What a candidate costs in work, before anything is dried: many fall here already. */
export interface Work {
  readonly candidate: Candidate;
  readonly zones: ZoneTechniques;
  readonly brief: Brief;
  readonly sections: readonly SectionPlan[];
  readonly waiting: WaitingPlan;
  readonly handsOnMin: number;
  /** Time left for drying. */
  readonly window: DryingWindow;
}

const QUADRANTS_OF: Readonly<Record<Zone, readonly Quadrant[]>> = {
  nape: ['back-left', 'back-right'],
  back: ['back-left', 'back-right'],
  left: ['front-left'],
  right: ['front-right'],
  crown: ['front-left', 'front-right'],
  front: ['front-left', 'front-right'],
};
/** Working order of the zones. */
const ORDER: readonly Zone[] = ['nape', 'back', 'left', 'right', 'crown', 'front'];

const SHARES = zoneShares();

/** Even sections shared out over the zones, without cutting the scalp: enough for everything but a picture. */
function sketch(count: number, recipe: Layout['recipe']): Layout {
  const counts =
    count >= ORDER.length
      ? shareOut(
          ORDER.map((zone) => SHARES[zone]),
          count,
        )
      : ORDER.map((zone) => (zone === 'back' || zone === 'crown' ? Math.ceil(count / 2) : 0));
  const sections = ORDER.flatMap((zone, z) =>
    Array.from({ length: counts[z]! }, (_, i) => ({ zone, i, of: counts[z]! })),
  ).slice(0, count);
  return {
    recipe,
    sections: sections.map(({ zone, i, of }, at): LaidSection => {
      const quadrants = QUADRANTS_OF[zone];
      const isLeft = quadrants.length === 1 ? zone === 'left' : i < of / 2;
      return {
        number: at + 1,
        key: '',
        panel: 'W',
        row: 0,
        col: at,
        zone,
        side: isLeft ? 'left' : 'right',
        quadrant: quadrants.length === 1 ? quadrants[0]! : quadrants[isLeft ? 0 : 1]!,
        share: 1 / count,
        centroid: { x: 0, y: 0 },
        outline: [],
        frame: null,
        winding: 'to-right',
        product: null,
        spine: null,
      };
    }),
    unplaced: [],
    partLine: null,
  };
}

const NO_LINES: Layout['recipe'] = {
  version: 2,
  circumferenceCm: 56,
  pattern: 'brick',
  part: { kind: 'none', points: [] },
  panels: [],
  splits: [],
  merges: [],
  exclude: [],
  marks: {},
};

/** More of the head than this done otherwise is another set. */
const MOST_OTHERWISE = 0.5;

/**
 * What is done in zones whose hair cannot carry a candidate: the nearest technique that can as it is, without a tool.
 * Empty where every zone carries it; null where one has no such way, or most of the head would be done otherwise.
 */
export function mendedZones(verdicts: readonly ZoneVerdict[]): ZoneTechniques | null {
  const zones: { [zone in Zone]?: ZoneTechniques[Zone] } = {};
  let otherwise = 0;
  for (const { zone, problem, proposals, sections } of verdicts) {
    if (!problem) continue;
    const instead = proposals.find(
      ({ toolDiameterMm, sections: newCount }) => toolDiameterMm === null && newCount === null,
    );
    if (!instead) return null;
    zones[zone] = instead.technique;
    otherwise += sections;
  }
  const all = verdicts.reduce((sum, { sections }) => sum + sections, 0);
  return otherwise > MOST_OTHERWISE * all ? null : zones;
}

/** Works out candidates for one head; what they share is worked out once. */
export class QuickForecaster {
  private readonly hair = new Map<string, WaitingHair>();
  private readonly works = new Map<string, Work | null>();
  private readonly preps = new Map<string, readonly PrepPart[]>();

  /**
   * @param base the brief whose head, room, layers and wear stay
   * @param readyMs when the style must be worn
   * @param startMs when hands-on work can begin
   */
  constructor(
    private readonly base: Brief,
    private readonly readyMs: number,
    private readonly startMs: number,
  ) {}

  /** What it takes to set a candidate; null where the hair cannot carry it. Routes of drying share it. */
  work(candidate: Candidate): Work | null {
    const { technique, sections: count, tool, startState } = candidate;
    const key = `${technique}/${count}/${tool?.diameterMm ?? ''}/${tool?.workingLengthMm ?? ''}/${startState}`;
    const known = this.works.get(key);
    if (known !== undefined) return known && { ...known, candidate };
    const work = this.workOf(candidate);
    this.works.set(key, work);
    return work;
  }

  private workOf(candidate: Candidate): Work | null {
    const layout = sketch(candidate.sections, NO_LINES);
    const alike = briefOf(this.base, candidate, []);
    const alikeSections = planSections(alike, layout);
    const zones = mendedZones(zoneVerdicts(alike, alikeSections));
    if (!zones) return null;
    const isAlike = Object.keys(zones).length === 0;
    const brief = isAlike ? alike : briefOf(this.base, candidate, [], zones);
    const sections = isAlike ? alikeSections : planSections(brief, layout);
    if (!isAlike && zoneVerdicts(brief, sections).some(({ problem }) => problem !== null)) return null;
    const room = dryingRoom(brief.room);
    const hair = this.hair.get(candidate.startState) ?? clippedHair(brief, sections, room);
    this.hair.set(candidate.startState, hair);
    const waiting = planWaiting(brief, sections, room, hair);
    const prep = this.preps.get(candidate.startState) ?? prepParts(brief, sections);
    this.preps.set(candidate.startState, prep);
    const takedownMin = sections.reduce((sum, section) => sum + section.takedownMin, 0);
    const separatingMin = sections.reduce((sum, section) => sum + section.separatingMin, 0);
    const { window } = layOutDay(
      {
        prep,
        installMin: waiting.installMin,
        neededH: () => 0,
        drying: [],
        nightCover: nightCoverOf(brief),
        takedownMin,
        separatingMin,
      },
      this.readyMs,
      this.startMs,
      keptNights(brief),
    );
    return {
      candidate,
      zones,
      brief,
      sections,
      waiting,
      handsOnMin: prepWorkMin(prep) + waiting.installMin + takedownMin + separatingMin,
      window,
    };
  }

  /** What comes of it; null where there is no time to dry, or none for the night that was meant. */
  outcome(work: Work): Outcome | null {
    const { hours: windowH } = work.window;
    const steps = windowH > 0 ? stepsOf(work.candidate.drying, windowH) : null;
    if (!steps) return null;
    const brief: Brief = { ...work.brief, drying: steps };
    const dryMassG = work.sections.reduce((sum, section) => sum + section.dryMassG, 0);
    const doses: Dose[] = dosesOf(brief, dryMassG);
    const ready = readyToDry(
      brief,
      work.sections,
      doses.map(({ layer }) => layer),
      { waiting: work.waiting },
    );
    const basis = dryingBasis(ready, laySteps(steps, work.window), true);
    const belief = beliefBefore(ready);
    const damp = dampAtTakedown({ table: basis.table, belief }, windowH).mean;
    const result = resultOf(brief, zoneGroups(brief, work.sections), doses, damp, 0);
    const first = result.byDay[0]!;
    return {
      chance: chanceDry(belief, basis.all, windowH),
      handsOnMin: work.handsOnMin,
      definition: result.definition.value,
      days: result.days.p50,
      stretch: first.stretch,
      curlMm: first.curlDiameterMm,
    };
  }
}
