import type { ChosenSchools, SchoolQuestionId } from '@/core/schools/schools';
import type { PlanFile } from '@/core/formats/plan-file';
import type { DryingWay } from '@/core/plan/drying-ways';
import type { WeighedUnits } from '@/core/products/hand-units';
import type { HairInSet } from '@/core/techniques/bundle';
import type { DraftBrief, PlanContent, ShelfDryer, ShelfProduct, ShelfTool } from '@/core/draft/draft-brief';

/** What the choices of a plan are given. */
export interface PlanChoicesProps {
  readonly content: PlanContent;
  readonly plan: PlanFile | null;
  /** The section that fills its tool most. */
  readonly fullestBundle: HairInSet | null;
  /** Of the head, by id: drawings of hands and scalps take it. */
  readonly skin: string;
  /** What the head's card says to mind. */
  readonly allergies: string;
  readonly products: readonly ShelfProduct[];
  readonly tools: readonly ShelfTool[];
  readonly dryers: readonly ShelfDryer[];
  /** Pumps, dimes and teaspoons as they were weighed here. */
  readonly handUnits: WeighedUnits;
  /** Schools remembered of this head, by question. */
  readonly schools: ChosenSchools;
  readonly onSchool: (question: SchoolQuestionId, school: string) => void;
  readonly onWeighed: (weighed: WeighedUnits) => void;
  /** How long a brief takes in each of four ways to dry. */
  readonly askWays: (brief: DraftBrief) => Promise<readonly DryingWay[]>;
  readonly onChange: (content: PlanContent) => void;
}
