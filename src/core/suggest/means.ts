import type { PlannedSize, PlannedTool } from '../brief/brief';
import type { DryingMethod } from '../drying-methods/method';
import type { RoleId } from '../products';
import { allergyMatches } from '../shelf/allergy';
import type { TechniqueId } from '../techniques';
import { CATALOGUE_MM, toolKinds, type ToolKindId } from '../techniques/tool-kind';

/** A product of the shelf, as far as a choice looks at it. */
export interface ShelfItem {
  readonly id: string;
  readonly name: string;
  readonly role: RoleId;
  readonly waterShare: number | null;
  readonly hold: number | null;
  readonly weight: number | null;
  readonly hasProtein: boolean;
  readonly ingredients: string;
  /** Null where nobody weighed it. */
  readonly leftG: number | null;
  readonly minorPerG: number | null;
  /** Past its day, or a mix of which no batch is made. */
  readonly isOut: boolean;
  /** YYYY-MM-DD. */
  readonly useBy: string | null;
}

/** What a stylist has and does: suggestions stay within it. */
export interface Means {
  readonly techniques: readonly TechniqueId[];
  /** Null where every role can be had. */
  readonly products: readonly ShelfItem[] | null;
  /** Null where every usual size can be had. */
  readonly tools: readonly PlannedSize[] | null;
  /** Ways to dry at hand, each as its machine gives it. */
  readonly drying: readonly DryingMethod[];
  /** What she reacts to, as it is noted. */
  readonly allergies: string;
}

/** Why a product stays on the shelf. */
export type Barred = { readonly item: ShelfItem; readonly why: 'allergy' | 'protein'; readonly word: string };

/** Products that must not go on this head: on her list of allergies, or with protein where hair goes stiff with it. */
export function barredItems(items: readonly ShelfItem[], allergies: string, mindsProtein: boolean): Barred[] {
  return items.flatMap((item): Barred[] => {
    const [match] = allergyMatches(allergies, [item]);
    if (match) return [{ item, why: 'allergy', word: match.word }];
    return mindsProtein && item.hasProtein ? [{ item, why: 'protein', word: 'protein' }] : [];
  });
}

/** As many of each size as nobody runs out of. */
const PLENTY = 120;

/** Sizes of one kind of tool that go round `count` sections; end rods are kept with the rods. */
export function toolsFor(means: Pick<Means, 'tools'>, kind: ToolKindId, count: number): PlannedTool[] {
  const { keptAs, usual } = toolKinds[kind];
  const all =
    means.tools?.filter((tool) => tool.kind === keptAs) ??
    CATALOGUE_MM.map((diameterMm) => ({
      kind: kind,
      diameterMm,
      workingLengthMm: usual.workingLengthMm,
      owned: PLENTY,
    }));
  return all.filter(({ owned }) => owned >= count).map((tool) => ({ ...tool, kind, alternate: null }));
}
