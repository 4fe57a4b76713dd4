'use client';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { SET_RANGES } from '@/core/formats/ranges';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { CloseIcon } from '@/ui/icons';
import type { DraftBrief } from '@/core/draft/draft-brief';
import styles from './drying-steps.module.css';

export type DraftDrying = NonNullable<DraftBrief['drying']>;

const METHODS = DRYING_METHOD_IDS.map((id) => ({ value: id, label: dryingMethods[id].label }));
const MOST_STEPS = 6;

/** The drying steps in order. */
export function DryingSteps({
  steps,
  onChange,
}: {
  steps: DraftDrying;
  onChange: (steps: DraftDrying) => void;
}) {
  const change = (at: number, step: Partial<DraftDrying[number]>) =>
    onChange(steps.map((before, i) => (i === at ? { ...before, ...step } : before)));
  return (
    <>
      {steps.map((step, i) => (
        <div key={i} className={styles.step}>
          <SelectField
            label={`Step ${i + 1}`}
            value={step.method}
            options={METHODS}
            onChange={(value) => {
              const method = value as DryingMethodId;
              change(i, { method, hours: dryingMethods[method].usualHours });
            }}
          />
          <NumberField
            label="For"
            unit="h"
            value={step.hours}
            {...SET_RANGES.dryingHours}
            step={0.25}
            width={92}
            onCommit={(hours) => change(i, { hours })}
          />
          {steps.length > 1 && (
            <IconButton
              size="small"
              aria-label={`Leave out step ${i + 1}`}
              onClick={() => onChange(steps.filter((_, j) => j !== i))}
            >
              <CloseIcon width={18} height={18} />
            </IconButton>
          )}
        </div>
      ))}
      {steps.length < MOST_STEPS && (
        <Button
          size="small"
          onClick={() =>
            onChange([...steps, { method: 'hood-hot', hours: dryingMethods['hood-hot'].usualHours }])
          }
        >
          Add a step
        </Button>
      )}
      <p className={styles.note}>
        Each lasts as long as you say. Time that is left goes on in open air, at night under the cover; a hood
        at the end of the list is kept for just before the takedown.
      </p>
    </>
  );
}
