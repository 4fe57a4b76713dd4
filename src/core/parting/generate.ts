import { perZone, ZONE_BORDER, ZONES, type PerZone, type Zone } from '../hair/zone';
import { coefficientOfVariation } from '../stats/variation';
import { loadFor, type LoadOf } from './load';
import { BACKMOST, FOREMOST, panelOf, type Panel, type PanelId } from './panel';
import { PART_POINTS, partAcross } from './part-line';
import { inRows, type PartingPattern, type PartLine } from './pattern';
import { cutForLoad, planPanel } from './plan-panel';
import { UNEDITED, type PartingRecipe, type RecipePanel } from './recipe';

/** Fewer than two sections are no parting; more than six hundred nobody sets. */
export const MIN_SECTIONS = 2;
export const MAX_SECTIONS = 600;
/** More rows behind the ears nobody counts out. */
export const MOST_BACK_ROWS = 12;

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
  /** Two halves are compared: no section lies in both. */
  readonly trial: boolean;
  /** Rows behind the ears; null for as many as suit. */
  readonly backRows: number | null;
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
/** Panels behind the ears, whose rows can be asked for. */
const BACK_PANELS: readonly PanelId[] = ['B', 'BL', 'BR'];

interface Stretch {
  readonly ids: readonly PanelId[];
  readonly fromT: number;
  readonly toT: number;
}

const noPart = () => 0;

/** Whether sections run in rings round the crown; two halves never do. */
const isRinged = ({ pattern, trial }: Pick<PartingSpec, 'pattern' | 'trial'>) =>
  pattern === 'radial' && !trial;

/** Whether a head is parted behind the ears and in front of them, each for itself. */
const isBackApart = ({ pattern, part, trial, backRows }: PartingSpec): boolean =>
  part === 'half-up'
    ? !isRinged({ pattern, trial })
    : inRows(pattern) && (backRows !== null || (PART_POINTS[part] !== null && !(trial && part === 'centre')));

/** Panels of a head that is parted all over in one way; `line` is the ear or half-up line. */
function stretchesOfWhole(spec: PartingSpec, line: number): Stretch[] {
  const whole = { fromT: BACKMOST, toT: FOREMOST };
  const isHalved = spec.trial || (PART_POINTS[spec.part] !== null && !isRinged(spec));
  if (!isBackApart(spec)) {
    if (isRinged(spec)) return [{ ids: ['O'], ...whole }];
    return [{ ids: isHalved ? ['L', 'R'] : ['W'], ...whole }];
  }
  return [
    { ids: spec.trial ? ['BL', 'BR'] : ['B'], fromT: BACKMOST, toT: line },
    { ids: isHalved ? ['FL', 'FR'] : ['F'], fromT: line, toT: FOREMOST },
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
    if (back < 1 || back > spec.count - 1 || (spec.trial && back % 2 === 1)) continue;
    const line = cutForLoad(whole.polygon, whole.frame, 't', (total * back) / spec.count, 1e-5 * total, load);
    if (Math.abs(line - rest) > SLIDE) continue;
    const [behind, before] = stretchesOfWhole(spec, line).map(({ ids, fromT, toT }) =>
      ids.map((id) => load(panelOf(id, fromT, toT, part).polygon)),
    ) as [number[], number[]];
    // A section a row at least, on either side.
    if (behind.length * (spec.backRows ?? 1) > back || before.length > spec.count - back) continue;
    const score =
      unevenness(
        [...behind, ...before],
        [...shareOut(behind, back), ...shareOut(before, spec.count - back)],
      ) +
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
  const stretches = isWhole
    ? stretchesOfWhole(spec, isBackApart(spec) ? evenLine(spec, load, part) : EAR_T)
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
    trial: spec.trial,
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
            BACK_PANELS.includes(counted.panel.id) ? (spec.backRows ?? undefined) : undefined,
          );
      return { id: counted.panel.id, ...lines };
    }),
  };
}

/** Every zone as large as the next. */
export const EVEN_SIZES: PerZone<number> = perZone(() => 1);
