import { perZone, ZONE_BORDER, ZONES, type PerZone, type Zone } from '../hair/zone';
import { coefficientOfVariation } from '../stats/variation';
import { loadFor, type LoadOf } from './load';
import { BACKMOST, FOREMOST, panelOf, type Panel, type PanelId } from './panel';
import { PART_POINTS, partAcross } from './part-line';
import type { PartingPattern, PartLine } from './pattern';
import { cutForLoad, planPanel } from './plan-panel';
import { UNEDITED, type PartingRecipe, type RecipePanel } from './recipe';

/** Fewer than two sections are no parting; more than six hundred nobody sets. */
export const MIN_SECTIONS = 2;
export const MAX_SECTIONS = 600;

/** A zone that is parted for itself. */
export interface OwnZone {
  readonly count: number;
  readonly pattern: PartingPattern;
  readonly aspect: number;
}

/** What a parting should be. */
export interface PartingSpec {
  readonly circumferenceCm: number;
  /** Sections on the head without the zones of {@link own}. */
  readonly count: number;
  readonly pattern: PartingPattern;
  readonly part: PartLine;
  /** Wanted width over height of a section on the head. */
  readonly aspect: number;
  /** Size of a section in each zone against an even one. */
  readonly sizes: PerZone<number>;
  readonly own: Partial<PerZone<OwnZone>>;
}

/** Row lines that bound panels before anything slides. */
const EAR_T = -0.12;
const HALF_UP_T = -0.05;
/** How far the ear or half-up line may slide to even out the panels, R. */
const SLIDE = 0.36;
const SLIDE_COST = 0.06;
const COUNT_TRIES = 3;

interface Stretch {
  readonly ids: readonly PanelId[];
  readonly fromT: number;
  readonly toT: number;
}

const noPart = () => 0;

/** Panels of a head that is parted all over in one way; `line` is the ear or half-up line. */
function stretchesOfWhole(spec: PartingSpec, line: number): Stretch[] {
  const whole = { fromT: BACKMOST, toT: FOREMOST };
  // A trial compares two halves, from the nape to the face.
  if (spec.part === 'half-head') return [{ ids: ['L', 'R'], ...whole }];
  if (spec.pattern === 'radial') return [{ ids: ['O'], ...whole }];
  if (spec.part === 'half-up') {
    return [
      { ids: ['B'], fromT: BACKMOST, toT: line },
      { ids: ['F'], fromT: line, toT: FOREMOST },
    ];
  }
  if (spec.part === 'none') return [{ ids: ['W'], ...whole }];
  if (spec.pattern === 'lanes-back' || spec.pattern === 'lanes-side') return [{ ids: ['L', 'R'], ...whole }];
  return [
    { ids: ['B'], fromT: BACKMOST, toT: line },
    { ids: ['FL', 'FR'], fromT: line, toT: FOREMOST },
  ];
}

/** Panels of the rest of a head whose own zones are cut out, and of those zones. */
function stretchesAroundZones(spec: PartingSpec): Stretch[] {
  const standsAlone = (zone: Zone) => spec.own[zone] !== undefined;
  const { nape, ear, front } = ZONE_BORDER;
  const isParted = PART_POINTS[spec.part] !== null;
  const beside = (id: 'C' | 'crown' | 'front'): PanelId[] => (isParted ? [`${id}L`, `${id}R`] : [id]);
  const stretches: Stretch[] = [];
  if (standsAlone('nape') || standsAlone('back')) {
    stretches.push({ ids: ['nape'], fromT: BACKMOST, toT: nape }, { ids: ['back'], fromT: nape, toT: ear });
  } else stretches.push({ ids: ['B'], fromT: BACKMOST, toT: ear });
  if (!standsAlone('left') && !standsAlone('right') && !standsAlone('crown') && !standsAlone('front')) {
    stretches.push({ ids: isParted ? ['FL', 'FR'] : ['F'], fromT: ear, toT: FOREMOST });
    return stretches;
  }
  stretches.push({ ids: ['left'], fromT: ear, toT: FOREMOST }, { ids: ['right'], fromT: ear, toT: FOREMOST });
  if (standsAlone('crown') || standsAlone('front')) {
    stretches.push(
      { ids: standsAlone('crown') ? ['crown'] : beside('crown'), fromT: ear, toT: front },
      { ids: standsAlone('front') ? ['front'] : beside('front'), fromT: front, toT: FOREMOST },
    );
  } else stretches.push({ ids: beside('C'), fromT: ear, toT: FOREMOST });
  return stretches;
}

interface LoadedPanel {
  readonly panel: Panel;
  readonly load: number;
}

/** Whole sections for each panel, in proportion to its load: largest remainders, one at least. */
export function shareOut(loads: readonly number[], count: number): number[] {
  const total = loads.reduce((sum, load) => sum + load, 0);
  const exact = loads.map((load) => (load / total) * count);
  const whole = exact.map((share) => Math.max(1, Math.floor(share)));
  const spare = () => count - whole.reduce((sum, cut) => sum + cut, 0);
  while (spare() > 0) {
    const need = exact.map((share, i) => share - whole[i]!);
    whole[need.indexOf(Math.max(...need))]!++;
  }
  while (spare() < 0) {
    const surplus = whole.map((cut, i) => (cut > 1 ? cut - exact[i]! : -Infinity));
    whole[surplus.indexOf(Math.max(...surplus))]!--;
  }
  return whole;
}

const unevenness = (loads: readonly number[], counts: readonly number[]) =>
  coefficientOfVariation(
    loads.flatMap((load, i) => Array.from({ length: counts[i]! }, () => load / counts[i]!)),
  );

/** Where the ear or half-up line goes, so that back and front hold whole sections of equal load (parting-map §4.2). */
function evenLine(spec: PartingSpec, load: LoadOf, part: (t: number) => number): number {
  const rest = spec.part === 'half-up' ? HALF_UP_T : EAR_T;
  const whole = panelOf('W', BACKMOST, FOREMOST, noPart);
  const total = load(whole.polygon);
  const behindRest = load(panelOf('B', BACKMOST, rest, noPart).polygon);
  const usual = Math.round((spec.count * behindRest) / total);
  let best = { line: rest, score: Infinity };
  for (let back = usual - COUNT_TRIES; back <= usual + COUNT_TRIES; back++) {
    if (back < 1 || back > spec.count - 1) continue;
    const line = cutForLoad(whole.polygon, whole.frame, 't', (total * back) / spec.count, 1e-5 * total, load);
    if (Math.abs(line - rest) > SLIDE) continue;
    const loads = stretchesOfWhole(spec, line).flatMap(({ ids, fromT, toT }) =>
      ids.map((id) => load(panelOf(id, fromT, toT, part).polygon)),
    );
    if (loads.length > spec.count) continue;
    const score =
      unevenness(loads, [back, ...shareOut(loads.slice(1), spec.count - back)]) +
      SLIDE_COST * Math.abs(line - rest);
    if (score < best.score) best = { line, score };
  }
  return best.line;
}

/**
 * Makes the lines of a parting: whole sections of equal load in every panel.
 *
 * @throws RangeError when the count is out of range
 * @source parting-map §4
 */
export function generateRecipe(spec: PartingSpec): PartingRecipe {
  const { count } = spec;
  if (!Number.isInteger(count) || count < MIN_SECTIONS || count > MAX_SECTIONS) {
    throw new RangeError(
      `${count} sections: a whole number from ${MIN_SECTIONS} to ${MAX_SECTIONS} is needed`,
    );
  }
  const load = loadFor(spec.sizes);
  const points = PART_POINTS[spec.part];
  const part = points ? partAcross(points) : noPart;
  const isWhole = ZONES.every((zone) => spec.own[zone] === undefined);
  const isSplit =
    isWhole &&
    spec.part !== 'half-head' &&
    (spec.part === 'half-up' || (points !== null && !spec.pattern.startsWith('lanes')));
  const stretches = isWhole
    ? stretchesOfWhole(spec, isSplit && spec.pattern !== 'radial' ? evenLine(spec, load, part) : EAR_T)
    : stretchesAroundZones(spec);

  const panels: LoadedPanel[] = stretches.flatMap(({ ids, fromT, toT }) => {
    const counted = ids.map((id) => {
      const panel = panelOf(id, fromT, toT, part);
      return { panel, load: load(panel.polygon) };
    });
    // The smaller side of a part is worked first.
    return counted.sort((a, b) => (Math.abs(a.load - b.load) < 1e-6 ? 0 : a.load - b.load));
  });
  const ownOf = ({ panel }: LoadedPanel) => (isWhole ? undefined : spec.own[panel.id as Zone]);
  const rest = panels.filter((panel) => !ownOf(panel));
  const counts = new Map<LoadedPanel, number>();
  if (rest.length > 0) {
    const shared = shareOut(
      rest.map((panel) => panel.load),
      Math.max(count, rest.length),
    );
    rest.forEach((panel, i) => counts.set(panel, shared[i]!));
  }
  return {
    version: 2,
    circumferenceCm: spec.circumferenceCm,
    pattern: spec.pattern,
    part: { kind: spec.part, points: points ?? [] },
    ...UNEDITED,
    panels: panels.map((counted): RecipePanel => {
      const zone = ownOf(counted);
      const lines = zone
        ? planPanel(
            counted.panel,
            zone.count,
            zone.pattern === 'radial' ? 'brick' : zone.pattern,
            zone.aspect,
            load,
          )
        : planPanel(
            counted.panel,
            counts.get(counted)!,
            counted.panel.id !== 'O' && spec.pattern === 'radial' ? 'brick' : spec.pattern,
            spec.aspect,
            load,
          );
      return { id: counted.panel.id, ...lines };
    }),
  };
}

/** Every zone as large as the next. */
export const EVEN_SIZES: PerZone<number> = perZone(() => 1);
