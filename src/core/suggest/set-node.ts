import type { Brief } from '../brief/brief';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import { rootMethods } from '../coefficients/root-and-ends';
import { handsOn } from '../coefficients/result';
import { START_STATE_IDS, startStates, type StartStateId } from '../coefficients/start-states';
import type { Zone } from '../hair/zone';
import {
  INSTALL_PARTS,
  sectionInstallParts,
  sectionSeparateMin,
  sectionTakedownMin,
} from '../hands-on/install-time';
import { prepParts, prepWorkMin } from '../plan/prep-parts';
import { planSections, type SectionPlan } from '../plan/section-forecasts';
import { resultOf, setFacts } from '../plan/set-result';
import { zoneGroups, type ZoneGroup } from '../plan/zone-groups';
import { zoneVerdicts } from '../plan/zone-verdicts';
import { techniqueOf } from '../techniques';
import type { Technique } from '../techniques/technique';
import { lnDaysPresentable } from '../wear/days';
import { definitionTerms, frizzTerms, volumeTerms, type LookTerms } from '../wear/look';
import type { SetFacts } from '../wear/set-facts';
import { briefOfWay, methodsOf } from './brief-of-way';
import { mendedZones } from './mended-zones';
import { sketch } from './sketch';
import type { Habit, SetChoice, Way } from './way';

/** Look and life as sums: what every choice adds to or takes from. */
export interface Sums {
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly lnDays: number;
}

const total = ({ base, terms }: LookTerms) => terms.reduce((sum, { effect }) => sum + effect, base);

const sumsOf = (facts: SetFacts): Sums => ({
  definition: total(definitionTerms(facts)),
  frizz: total(frizzTerms(facts)),
  volume: total(volumeTerms(facts)),
  lnDays: lnDaysPresentable(facts).mean,
});

const less = (a: Sums, b: Sums): Sums => ({
  definition: a.definition - b.definition,
  frizz: a.frizz - b.frizz,
  volume: a.volume - b.volume,
  lnDays: a.lnDays - b.lnDays,
});

/** Hold that sums are worked out at; each other is a step from it. */
const NO_HOLD = { hold: 0, holdName: null };

/** Sections of one zone, which are alike. */
interface Alike {
  readonly section: SectionPlan;
  readonly technique: Technique;
  readonly count: number;
}

/** A set that the hair can carry, with what does not hang on start, roots, ends, layers or drying. */
export interface SetNode {
  readonly choice: SetChoice;
  readonly starts: readonly StartStateId[];
  readonly dryMassG: number;
  readonly sums: Sums;
  readonly alike: readonly Alike[];
  readonly groups: readonly ZoneGroup[];
  readonly brief: Brief;
}

/** A plain way that a set is worked out in before anything else of it is chosen. */
export function plainWay(set: SetChoice, startState: StartStateId, habit: Habit): Way {
  const technique = techniqueOf(set.technique);
  return {
    set,
    startState,
    rootMethod: technique.rootMethods[0],
    endsMethod: technique.endsMethods[0],
    stack: { id: 'nothing', layers: [] },
    route: { id: 'air', first: null, last: null },
    habit,
  };
}

/** Start states that a technique can be worked into. */
export const startsOf = (
  { needsStretched, needsWet }: Technique,
  starts: readonly StartStateId[],
): StartStateId[] =>
  START_STATE_IDS.filter(
    (id) =>
      starts.includes(id) &&
      (!needsStretched || startStates[id].straightened > 0.5) &&
      (!needsWet || startStates[id].moisture.kind === 'free'),
  );

/**
 * Works out a set; null where the hair cannot carry it, even with other techniques where it is short.
 *
 * @param base the brief whose head, room, parting sizes and pace stay
 */
export function setNode(
  base: Brief,
  wanted: Omit<SetChoice, 'zones'>,
  allowed: readonly StartStateId[],
  habit: Habit,
): SetNode | null {
  const technique = techniqueOf(wanted.technique);
  const starts = startsOf(technique, allowed);
  const [start] = starts;
  if (!start) return null;
  const layout = sketch(wanted.sections, base.parting.sizes);
  const work = (zones: SetChoice['zones']) => {
    const choice = { ...wanted, zones };
    const brief = briefOfWay(base, plainWay(choice, start, habit), []);
    const sections = planSections(brief, layout);
    return { choice, brief, sections, verdicts: zoneVerdicts(brief, sections) };
  };
  const plain = work({});
  const zones = mendedZones(plain.verdicts);
  if (!zones) return null;
  const mended = Object.keys(zones).length === 0 ? plain : work(zones);
  if (mended !== plain && mended.verdicts.some(({ problem }) => problem !== null)) return null;
  const { choice, brief, sections } = mended;
  const groups = zoneGroups(brief, sections);
  const hairs = groups.reduce((sum, group) => sum + group.sections.reduce((n, s) => n + s.hairCount, 0), 0);
  const sums = groups.map(({ share, ...group }) => ({
    share,
    of: sumsOf(setFacts(brief, { share, ...group }, NO_HOLD, hairs, 0)),
  }));
  const mean = (key: keyof Sums) => sums.reduce((sum, { share, of }) => sum + share * of[key], 0);
  const byZone = new Map<Zone, { section: SectionPlan; count: number }>();
  for (const section of sections) {
    const known = byZone.get(section.zone);
    byZone.set(section.zone, { section, count: (known?.count ?? 0) + 1 });
  }
  return {
    choice,
    starts,
    dryMassG: sections.reduce((sum, section) => sum + section.dryMassG, 0),
    sums: {
      definition: mean('definition'),
      frizz: mean('frizz'),
      volume: mean('volume'),
      lnDays: mean('lnDays'),
    },
    alike: [...byZone.values()].map((one) => ({
      ...one,
      technique: techniqueOf(brief.zones[one.section.zone].technique),
    })),
    groups,
    brief,
  };
}

/** Hands-on minutes of a set by what is chosen of it, from washing to separating. */
export function workMin(
  { alike, brief }: SetNode,
  startState: StartStateId,
  rootMethod: RootMethodId,
  endsMethod: EndsMethodId,
): { readonly all: number; readonly perPiece: number } {
  let [all, perPiece] = [0, 0];
  for (const { section, technique, count } of alike) {
    const methods = methodsOf(
      technique,
      { rootMethod, endsMethod },
      endsMethod === 'rod' ? section.tool : brief.set.tool,
    );
    const one = {
      technique,
      hairCount: section.hairCount,
      lengthCm: section.lengthCm,
      ...methods,
      startState,
      brushedThrough: brief.set.brushedThrough,
      fastened: brief.set.fastened,
    };
    const parts = sectionInstallParts(one);
    all += count * (INSTALL_PARTS.reduce((sum, part) => sum + parts[part], 0) + sectionTakedownMin(one));
    perPiece += count * sectionSeparateMin(one, 2);
  }
  const pace = brief.pace.median;
  const prep = prepParts(
    { ...brief, set: { startState } },
    alike.map(({ section }) => section),
  );
  return {
    all: prepWorkMin(prep) + handsOn.value.settleMin + pace * all,
    perPiece: pace * perPiece,
  };
}

/** Stretch on the first day, dry and held as is usual, by start and roots. */
export function firstStretch(node: SetNode, startState: StartStateId, rootMethod: RootMethodId): number {
  const { brief, groups } = node;
  const withRoot = (set: ZoneGroup['set']) => ({
    ...set,
    ...methodsOf(techniqueOf(set.technique), { ...set, rootMethod }, set.tool),
  });
  const asked: Brief = {
    ...brief,
    set: { ...brief.set, startState },
    zones: {
      ...brief.zones,
      ...Object.fromEntries(groups.flatMap(({ zones, set }) => zones.map((zone) => [zone, withRoot(set)]))),
    },
  };
  return resultOf(asked, groups, [], 0, 0).byDay[0]!.stretch;
}

/** What each choice but the set adds to look and life, on any set of this head: the model is a sum of them. */
export interface Steps {
  readonly start: Readonly<Record<string, Sums>>;
  readonly root: Readonly<Record<string, Sums>>;
  readonly ends: Readonly<Record<string, Sums>>;
  /** Of a full hold over none. */
  readonly hold: Sums;
  readonly habits: readonly Sums[];
}

/** Works out the steps from one set; on every other they are the same, but where zones do without. */
export function stepsFrom(
  { brief, groups }: SetNode,
  habits: readonly Habit[],
  ends: readonly EndsMethodId[],
): Steps {
  const facts = setFacts(brief, groups[0]!, NO_HOLD, 1, 0);
  const plain = sumsOf(facts);
  const step = (change: Partial<SetFacts>) => less(sumsOf({ ...facts, ...change }), plain);
  const each = <K extends string>(ids: readonly K[], change: (id: K) => Partial<SetFacts>) =>
    Object.fromEntries(ids.map((id) => [id, step(change(id))]));
  return {
    start: each(START_STATE_IDS, (startState) => ({ startState })),
    root: each(Object.keys(rootMethods) as RootMethodId[], (rootMethod) => ({ rootMethod })),
    ends: each(ends, (endsMethod) => ({ endsMethod })),
    hold: step({ hold: 1 }),
    habits: habits.map((habit) => step(habit)),
  };
}
