'use client';
import { useState } from 'react';
import { techniqueOf } from '@/core/techniques';
import { useUnits } from '@/ui/units-context';
import type { PlanChoicesProps } from './plan-choices-props';
import { Schools } from './schools';
import { PLAN_STEPS } from './steps';
import { Thread, type ThreadStep } from './thread';

/** Everything a plan decides, in the order of the work. */
export function PlanChoices(props: PlanChoicesProps) {
  const [open, setOpen] = useState<string | null>(null);
  const { units, clock } = useUnits();
  const { content, onChange } = props;
  const { brief } = content;
  const steps = PLAN_STEPS.map((step) =>
    step({
      ...props,
      units,
      clock,
      brief,
      set: brief.set,
      technique: techniqueOf(brief.set.technique),
      changeBrief: (part) => onChange({ ...content, brief: { ...brief, ...part } }),
      changeSet: (part) => onChange({ ...content, brief: { ...brief, set: { ...brief.set, ...part } } }),
    }),
  );
  return (
    <Thread
      steps={steps
        .filter((step): step is ThreadStep => step !== null)
        .map((step) => ({
          ...step,
          body: (
            <>
              {step.body}
              <Schools step={step.id} brief={brief} remembered={props.schools} onTake={props.onSchool} />
            </>
          ),
        }))}
      open={open}
      onOpen={setOpen}
    />
  );
}
