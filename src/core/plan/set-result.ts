import { grouped } from '../grouped';
import { learntOf, learntPoints } from '../brief/learnt';
import { result } from '../coefficients/result';
import { FULL_SCALE } from '../products/role';
import { rootMethods } from '../coefficients/root-and-ends';
import { curlAfterTakedown, type VisibleCurl } from '../curl/after-takedown';
import { coilMm } from '../hair/unknown';
import { ZONES, type Zone } from '../hair/zone';
import { productRoles } from '../products';
import { goesOn } from '../products/layer';
import { techniqueOf } from '../techniques';
import { clamp } from '../units/clamp';
import { daysPresentable, lnDaysPresentable, type DaysPresentable } from '../wear/days';
import { definitionTerms, frizzTerms, lookOf, volumeTerms, type Look } from '../wear/look';
import type { Reason } from '../wear/reason';
import { retentionFactors, retentionLeft, setRetention, straightenedLeft } from '../wear/retention';
import { nightOf, sizeDoublings, type SetFacts } from '../wear/set-facts';
import type { Brief } from '../brief/brief';
import type { Dose } from '../products/dose';
import { hairCountCv } from './hair-variation';
import type { SectionPlan } from './section-forecasts';
import type { ZoneGroup } from './zone-groups';

/** The look of the style on one day of wear. */
export interface WearDayForecast {
  readonly day: number;
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly curlDiameterMm: number;
  readonly stretch: number;
  readonly visibleLengthCm: Partial<Record<Zone, number>>;
  readonly zoneCurlDiameterMm: Partial<Record<Zone, number>>;
}

/** What comes of a set once it is taken down. */
export interface SetResult {
  readonly definition: Look;
  readonly frizz: Look;
  readonly volume: Look;
  readonly days: DaysPresentable;
  readonly byDay: readonly WearDayForecast[];
  readonly rootDiameterMm: number;
  readonly tipDiameterMm: number;
  /** Factors on how much of the set stays, of the head's largest group of zones. */
  readonly curlWhy: readonly Reason[];
}

/** Longest that a style is followed, days. */
const MOST_DAYS = 45;
/** Factors this near to 1 say nothing to a stylist. */
const SMALLEST_FACTOR = 0.01;

const WEAK_ENDS = ['due-a-trim', 'transitioning', 'heat-damaged', 'blunt-trim'];

const holdOf = ({ layer }: Dose) =>
  layer.hold === undefined ? productRoles[layer.role].hold : layer.hold / FULL_SCALE;

/** The strongest hold of the layers and the product that brings it. */
export function strongestHold(doses: readonly Dose[]): { hold: number; holdName: string | null } {
  const none = productRoles.water.hold;
  const strongest = doses.reduce<Dose | null>(
    (best, dose) => (best && holdOf(best) >= holdOf(dose) ? best : dose),
    null,
  );
  if (!strongest || holdOf(strongest) <= none) return { hold: none, holdName: null };
  return { hold: holdOf(strongest), holdName: productRoles[strongest.layer.role].label.toLowerCase() };
}

/** What look and life of a group of zones depend on. */
export function setFacts(
  brief: Brief,
  { set, sections }: ZoneGroup,
  hold: ReturnType<typeof strongestHold>,
  headHairs: number,
  damp: number,
): SetFacts {
  const hairs = sections.reduce((sum, section) => sum + section.hairCount, 0);
  const technique = techniqueOf(set.technique);
  return {
    technique,
    startState: brief.set.startState,
    rootMethod: set.rootMethod,
    endsMethod: set.endsMethod,
    sizeDoublings:
      sections.reduce(
        (sum, s) => sum + s.hairCount * sizeDoublings(s.form.definingMm, coilMm(brief.head, s.zone)),
        0,
      ) / hairs,
    unevenness: hairCountCv(sections),
    ...hold,
    damp,
    brushedThrough: brief.set.brushedThrough,
    fastened: brief.set.fastened,
    ...brief.wear,
    dewPointOutsideC: brief.room.dewPointOutsideC,
    weakEnds: WEAK_ENDS.some((condition) => brief.head.conditions.includes(condition)),
    hairCount: headHairs,
    learnt: learntOf(brief.learnt, set.technique),
    daysWidth: brief.corrections.widths.days ?? 1,
    fill: technique.tool ? Math.max(0, ...sections.map((s) => s.form.fit?.fill ?? 0)) : 0,
  };
}

/** A section that stands for those of its zone on its size of tool, and how much of the head's hair that is. */
interface Sample {
  readonly section: SectionPlan;
  readonly share: number;
  readonly facts: SetFacts;
}

/** Least of its length that hair shows, whatever was learnt. */
const LEAST_STRETCH = 0.05;

/** A curl that shows as much more or less of its length as was learnt of this head. */
function shownAsLearnt({ learnt }: SetFacts, curl: VisibleCurl): VisibleCurl {
  if (!learnt.stretch) return curl;
  const stretch = clamp(curl.stretch + learnt.stretch.shift / 100, LEAST_STRETCH, 1);
  return { ...curl, stretch, visibleMm: (curl.visibleMm * stretch) / curl.stretch };
}

/** What was learnt of how much of its length a head shows, as a factor on what the set keeps. */
function learntStretch({ learnt }: SetFacts, stretch: number): Reason[] {
  const own = learnt.stretch;
  if (!own) return [];
  const before = Math.max(LEAST_STRETCH, stretch - own.shift / 100);
  return [{ factor: 'learnt', effect: stretch / before, text: learntPoints(own, ['longer', 'shorter']) }];
}

/** Visible curl of one section on one day. */
function curlOn(brief: Brief, { section, facts }: Sample, day: number, medianDays: number): VisibleCurl {
  const root = rootMethods[brief.zones[section.zone].rootMethod];
  return shownAsLearnt(
    facts,
    curlAfterTakedown({
      lengthMm: section.lengthCm * 10,
      strandUm: brief.head.strandDiameterUm,
      coilDiameterMm: coilMm(brief.head, section.zone),
      shrinkage: brief.head.shrinkage,
      setNodes: section.form.nodes,
      ends: section.form.ends,
      thicknessMm: section.form.thicknessMm,
      retention: setRetention(facts, section.hairCount) * retentionLeft(day, medianDays),
      straightened: straightenedLeft(facts, day),
      hold: facts.hold,
      opening: facts.technique.coefficients.value.opening,
      separations: brief.wear.separations,
      opened: nightOf(facts).opening * day,
      root: root.stretchedMm > 0 ? root : (facts.technique.ownRoot ?? root),
    }),
  );
}

/** Sections that differ by less than this factor in hair look alike. */
const ALIKE = 1.5;

/** Sections by the size of tool they take, those that were joined or parted apart from the rest. */
function bySize(sections: readonly SectionPlan[]): SectionPlan[][] {
  const first = sections[0]?.hairCount ?? 1;
  const alike = ({ hairCount, tool }: SectionPlan) =>
    `${tool?.diameterMm}/${Math.round(Math.log(hairCount / first) / Math.log(ALIKE))}`;
  return [...grouped(sections, alike).values()];
}

/** Means of each zone over the samples that stand for it. */
function byZone(samples: readonly Sample[], of: (sample: number) => number): Partial<Record<Zone, number>> {
  const share = new Map<Zone, number>();
  const sum = new Map<Zone, number>();
  samples.forEach((sample, i) => {
    const { zone } = sample.section;
    share.set(zone, (share.get(zone) ?? 0) + sample.share);
    sum.set(zone, (sum.get(zone) ?? 0) + sample.share * of(i));
  });
  return Object.fromEntries([...sum].map(([zone, total]) => [zone, total / share.get(zone)!]));
}

/** Doses of the layers that a group of zones gets. */
const dosesOn = (doses: readonly Dose[], { zones, side }: ZoneGroup): Dose[] =>
  doses.filter(({ layer }) => goesOn(layer, { zone: zones[0]!, side }));

/** Groups of zones with what their look depends on. */
function partsOf(brief: Brief, groups: readonly ZoneGroup[], doses: readonly Dose[], damp: number) {
  const headHairs = groups.reduce(
    (sum, group) => sum + group.sections.reduce((hairs, s) => hairs + s.hairCount, 0),
    0,
  );
  const parts = groups.map((group) => ({
    ...group,
    facts: setFacts(brief, group, strongestHold(dosesOn(doses, group)), headHairs, damp),
  }));
  return { headHairs, parts };
}

/**
 * Curl of some sections on the first day, taken down dry: the mean over their hair.
 *
 * @param isIt which sections are meant
 * @returns mm; null where none of them is there
 */
export function firstCurlMm(
  brief: Brief,
  groups: readonly ZoneGroup[],
  doses: readonly Dose[],
  isIt: (section: SectionPlan) => boolean,
): number | null {
  const { parts } = partsOf(brief, groups, doses, 0);
  let [hairs, sum] = [0, 0];
  for (const { sections, facts } of parts) {
    for (const section of sections.filter(isIt)) {
      const { diameterMm } = curlOn(brief, { section, share: 1, facts }, 0, 1);
      hairs += section.hairCount;
      sum += section.hairCount * diameterMm;
    }
  }
  return hairs === 0 ? null : sum / hairs;
}

/**
 * Look, life and fading of a set, over all its groups of zones.
 *
 * @param damp share of the removable water that is left at takedown
 * @param lastDay no day after this one is followed
 */
export function resultOf(
  brief: Brief,
  groups: readonly ZoneGroup[],
  doses: readonly Dose[],
  damp: number,
  lastDay = MOST_DAYS,
): SetResult {
  const { headHairs, parts } = partsOf(brief, groups, doses, damp);
  const look = (terms: typeof definitionTerms) =>
    lookOf(parts.map(({ share, facts }) => ({ share, look: terms(facts) })));
  const definition = look(definitionTerms);
  const frizz = look(frizzTerms);
  const volume = look(volumeTerms);
  const days = daysPresentable(parts.map(({ share, facts }) => ({ share, days: lnDaysPresentable(facts) })));

  const samples = parts.flatMap(({ facts, sections }): Sample[] =>
    ZONES.flatMap((zone) =>
      bySize(sections.filter((section) => section.zone === zone)).map((alike) => ({
        section: alike[0]!,
        share: alike.reduce((sum, section) => sum + section.hairCount, 0) / headHairs,
        facts,
      })),
    ),
  );
  const night = nightOf(parts[0]!.facts);
  const firstCurls = samples.map((sample) => curlOn(brief, sample, 0, days.p50));
  const onDay = (day: number): WearDayForecast => {
    const curls = day === 0 ? firstCurls : samples.map((sample) => curlOn(brief, sample, day, days.p50));
    const mean = (of: (curl: VisibleCurl) => number) =>
      curls.reduce((sum, curl, i) => sum + of(curl) * samples[i]!.share, 0);
    const c = result.value;
    const gone = 1 - retentionLeft(day, days.p50);
    return {
      day,
      definition: clamp(definition.value + c.fadedDefinition * gone, 0, 10),
      frizz: clamp(frizz.value + c.fadedFrizz * gone, 0, 10),
      volume: clamp(volume.value + night.volume * day + c.fadedVolume * gone, 0, 10),
      curlDiameterMm: mean((curl) => curl.diameterMm),
      stretch: mean((curl) => curl.stretch),
      visibleLengthCm: byZone(samples, (i) => curls[i]!.visibleMm / 10),
      zoneCurlDiameterMm: byZone(samples, (i) => curls[i]!.diameterMm),
    };
  };
  const meanFirst = (of: (curl: VisibleCurl) => number) =>
    firstCurls.reduce((sum, curl, i) => sum + of(curl) * samples[i]!.share, 0);
  return {
    definition,
    frizz,
    volume,
    days,
    byDay: Array.from({ length: Math.min(lastDay, Math.ceil(days.p90)) + 1 }, (_, day) => onDay(day)),
    rootDiameterMm: meanFirst((curl) => curl.rootDiameterMm),
    tipDiameterMm: meanFirst((curl) => curl.tipDiameterMm),
    curlWhy: [
      ...retentionFactors(parts[0]!.facts, parts[0]!.sections[0]!.hairCount),
      ...learntStretch(parts[0]!.facts, firstCurls[0]!.stretch),
    ]
      .filter(({ effect }) => Math.abs(effect - 1) >= SMALLEST_FACTOR)
      .sort((a, b) => a.effect - b.effect),
  };
}
