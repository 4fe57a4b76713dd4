import type { Clock, Units } from '@/core/formats/display';
import type { Technique } from '@/core/techniques/technique';
import type { DraftBrief, DraftSet } from '@/core/draft/draft-brief';
import type { PlanChoicesProps } from './plan-choices-props';
import type { ThreadStep } from './thread';

/** What a step of the thread looks at, and how it changes the plan. */
export interface StepContext extends PlanChoicesProps {
  readonly brief: DraftBrief;
  readonly set: DraftSet;
  readonly technique: Technique;
  readonly units: Units;
  readonly clock: Clock;
  readonly changeBrief: (part: Partial<DraftBrief>) => void;
  readonly changeSet: (part: Partial<DraftSet>) => void;
}

/** One choice of a plan, or null where there is nothing to choose. */
export type PlanStep = (context: StepContext) => ThreadStep | null;
