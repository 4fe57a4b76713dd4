import type { PlanFile } from '@/core/formats/plan-file';
import type { Bundle } from '@/core/techniques/bundle';
import type { PlanContent, ShelfProduct, ShelfRod } from '../plan-content';

/** What the choices of a plan are given. */
export interface PlanChoicesProps {
  readonly content: PlanContent;
  readonly plan: PlanFile | null;
  /** The section that fills its rod most. */
  readonly fullestBundle: Bundle | null;
  readonly products: readonly ShelfProduct[];
  readonly rods: readonly ShelfRod[];
  readonly onChange: (content: PlanContent) => void;
}
