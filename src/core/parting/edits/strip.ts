import type { Layout, LaidSection } from '../layout';
import type { LoadOf } from '../load';
import { cutForLoad } from '../plan-panel';
import type { PartingRecipe } from '../recipe';
import type { Edited } from './edited';

/** A cut is found to this share of the section. */
const TOLERANCE = 1e-4;

/** A strip of a section along the edge to another, cut off but still a section of its own. */
export type Strip =
  | { readonly ok: true; readonly recipe: PartingRecipe; readonly key: string; readonly restKey: string }
  | Extract<Edited, { ok: false }>;

/** The line that parts two sections, as the first one's coordinates have it: along a row or a cut, and to which side. */
function facing({ outline, frame }: LaidSection, other: LaidSection) {
  const there = frame!.of(other.centroid);
  const gap = (along: 'f' | 't') => {
    const values = outline.map((point) => point[along]);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    return { along, by: (there[along] - (low + high) / 2) / (high - low) };
  };
  const [across, up] = [gap('f'), gap('t')];
  return Math.abs(across.by) >= Math.abs(up.by) ? across : up;
}

/**
 * Cuts a strip off a section on the side of another.
 *
 * @param share of its hair that goes with the strip
 */
export function stripToward(
  { recipe, sections }: Layout,
  key: string,
  other: string,
  share: number,
  load: LoadOf,
): Strip {
  const [section, beside] = [key, other].map((one) => sections.find((candidate) => candidate.key === one));
  if (!section || !beside) return { ok: false, why: 'that section is not there any more' };
  if (!section.frame) return { ok: false, why: 'a section that was joined or cut out has no lines to move' };
  const { along, by } = facing(section, beside);
  const whole = load(section.outline);
  const isAbove = by > 0;
  const at = cutForLoad(
    section.outline,
    section.frame,
    along,
    (isAbove ? 1 - share : share) * whole,
    TOLERANCE * whole,
    load,
  );
  const [below, above] = [`${key}a`, `${key}b`];
  return {
    ok: true,
    recipe: { ...recipe, splits: [...recipe.splits, { key, axis: along === 'f' ? 'cut' : 'row', at }] },
    key: isAbove ? above : below,
    restKey: isAbove ? below : above,
  };
}
