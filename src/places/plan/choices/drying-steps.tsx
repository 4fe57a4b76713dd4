'use client';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { SET_RANGES } from '@/core/formats/ranges';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { CloseIcon } from '@/ui/icons';
import type { DraftBrief, ShelfDryer } from '@/core/draft/draft-brief';
import styles from './drying-steps.module.css';

export type DraftDrying = NonNullable<DraftBrief['drying']>;

const METHODS = DRYING_METHOD_IDS.map((id) => ({ value: id, label: dryingMethods[id].label }));
const MOST_STEPS = 6;

/** One like most: what the method itself counts on. */
const LIKE_MOST = 'usual';

/** The machine of a step, where there are some of its kind. */
function DryerChoice({
  step,
  dryers,
  onChange,
}: {
  step: DraftDrying[number];
  dryers: readonly ShelfDryer[];
  onChange: (output: Pick<DraftDrying[number], 'airSpeedMS' | 'airC'>) => void;
}) {
  const { dryer } = dryingMethods[step.method];
  const own = dryers.filter(({ kind }) => kind === dryer);
  if (own.length === 0) return null;
  const chosen = own.find(
    ({ airSpeedMS, airC }) => airSpeedMS === step.airSpeedMS && (airC ?? undefined) === step.airC,
  );
  return (
    <div className={styles.machine}>
      <SelectField
        label="With"
        value={chosen?.id ?? LIKE_MOST}
        options={[
          { value: LIKE_MOST, label: 'one like most' },
          ...own.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => {
          const machine = own.find((one) => one.id === id);
          onChange({ airSpeedMS: machine?.airSpeedMS, airC: machine?.airC ?? undefined });
        }}
      />
    </div>
  );
}

/** The drying steps in order. */
export function DryingSteps({
  steps,
  dryers,
  onChange,
}: {
  steps: DraftDrying;
  dryers: readonly ShelfDryer[];
  onChange: (steps: DraftDrying) => void;
}) {
  const change = (at: number, step: Partial<DraftDrying[number]>) =>
    onChange(steps.map((before, i) => (i === at ? { ...before, ...step } : before)));
  return (
    <>
      {steps.map((step, i) => (
        <div key={i} className={styles.step}>
          <div className={styles.method}>
            <SelectField
              label={`Step ${i + 1}`}
              value={step.method}
              options={METHODS}
              onChange={(value) => {
                const method = value as DryingMethodId;
                onChange(
                  steps.map((before, j) =>
                    j === i ? { method, hours: dryingMethods[method].usualHours } : before,
                  ),
                );
              }}
            />
          </div>
          <div className={styles.hours}>
            <NumberField
              label="For"
              unit="h"
              value={step.hours}
              {...SET_RANGES.dryingHours}
              step={0.25}
              width={92}
              onCommit={(hours) => change(i, { hours })}
            />
          </div>
          <DryerChoice step={step} dryers={dryers} onChange={(output) => change(i, output)} />
          {steps.length > 1 && (
            <IconButton
              className={styles.remove}
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
