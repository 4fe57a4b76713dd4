'use client';
import IconButton from '@mui/material/IconButton';
import { SET_RANGES } from '@/core/formats/ranges';
import { PREP_STEP_IDS, prepSteps, type PrepStepId } from '@/core/coefficients/prep-steps';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { CloseIcon } from '@/ui/icons';
import type { DraftBrief, ShelfProduct } from '@/core/draft/draft-brief';
import { PREP_TAKES } from '@/core/products/prep-products';
import { allergyMatches } from '@/core/shelf/allergy';
import styles from './drying-steps.module.css';

type DraftPrep = NonNullable<DraftBrief['prep']>;
const MOST_STEPS = 8;

/** What comes before the set, in the order it is done, each with how long it takes. */
export function PrepSteps({
  steps,
  shelf,
  allergies,
  onChange,
}: {
  steps: DraftPrep;
  shelf: readonly ShelfProduct[];
  /** What the head's card says to mind. */
  allergies: string;
  onChange: (steps: DraftPrep) => void;
}) {
  const warnings = new Map(allergyMatches(allergies, shelf).map(({ product, word }) => [product, word]));
  const left = PREP_STEP_IDS.filter((id) => !steps.some(({ step }) => step === id));
  const inOrder = (next: DraftPrep) =>
    [...next].sort((a, b) => PREP_STEP_IDS.indexOf(a.step) - PREP_STEP_IDS.indexOf(b.step));
  return (
    <>
      <ol className={styles.steps}>
        {steps.map((planned) => {
          const { step, minutes, product } = planned;
          const takes: readonly string[] = PREP_TAKES[step] ?? [];
          const kept = shelf.filter(({ role }) => takes.includes(role));
          const { label, usualMin, handsOn } = prepSteps[step];
          return (
            <li key={step}>
              <span>
                {label}
                <small>{handsOn ? 'with hands' : 'sits by itself'}</small>
              </span>
              <NumberField
                label="min"
                value={minutes ?? usualMin}
                {...SET_RANGES.prepMinutes}
                step={5}
                onCommit={(typedMin) =>
                  onChange(steps.map((one) => (one === planned ? { ...planned, minutes: typedMin } : one)))
                }
              />
              {(kept.length > 0 || product) && (
                <span className={styles.with}>
                  <SelectField
                    label="With"
                    value={product ?? ''}
                    options={[
                      { value: '', label: 'nothing named' },
                      ...[...new Set([...kept.map(({ name }) => name), ...(product ? [product] : [])])].map(
                        (name) => ({
                          value: name,
                          label: warnings.has(name) ? `${name} – mind: lists ${warnings.get(name)}` : name,
                        }),
                      ),
                    ]}
                    onChange={(name) =>
                      onChange(
                        steps.map((one) =>
                          one === planned ? { ...planned, product: name || undefined } : one,
                        ),
                      )
                    }
                  />
                </span>
              )}
              <IconButton
                size="small"
                aria-label={`Leave out: ${label}`}
                onClick={() => onChange(steps.filter((other) => other.step !== step))}
              >
                <CloseIcon width={18} height={18} />
              </IconButton>
            </li>
          );
        })}
      </ol>
      {left.length > 0 && steps.length < MOST_STEPS && (
        <SelectField
          label="Add a step"
          value=""
          options={[
            { value: '', label: 'Choose…' },
            ...left.map((id) => ({
              value: id,
              label: `${prepSteps[id].label}, ${prepSteps[id].usualMin} min`,
            })),
          ]}
          onChange={(id) => id && onChange(inOrder([...steps, { step: id as PrepStepId }]))}
        />
      )}
      <p className={styles.note}>
        Take an old style down damp, never dry. Without steps of its own a set counts about 50 min of washing.
      </p>
    </>
  );
}
