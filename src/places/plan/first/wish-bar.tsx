'use client';
import { MOST_WANTS, WANT_LABEL, WANTS, type Want } from '@/core/coefficients/wants';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '@/core/techniques';
import { DateTimeField } from '@/ui/fields/date-time-field';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { SET_RANGES } from '@/core/formats/ranges';
import type { WishForm } from './wish-for';
import { Pill, PillSet } from '@/ui/fields/pill';
import styles from './first-draft.module.css';

const ANY = 'any';
/** Work that is asked for when a limit is first set, h. */
const SOME_WORK_H = 2.5;

/** A wish more, or one less; of more than two the oldest goes. */
const toggled = (wants: readonly Want[], want: Want): readonly Want[] =>
  wants.includes(want) ? wants.filter((other) => other !== want) : [...wants, want].slice(-MOST_WANTS);

/** The three questions: when it is to be ready, what matters, and how it is to be done; the rest behind "more". */
export function WishBar({
  form,
  begin,
  onChange,
}: {
  form: WishForm;
  /** When the work begins, as it is taken now. */
  begin: string | null;
  onChange: (part: Partial<WishForm>) => void;
}) {
  return (
    <section className={styles.wish} aria-label="What it should be">
      <div className={styles.when}>
        <DateTimeField label="Ready by" value={form.ready ?? ''} onCommit={(ready) => onChange({ ready })} />
      </div>
      <PillSet legend="What matters most? Any two">
        {WANTS.map((want) => (
          <Pill
            key={want}
            label={WANT_LABEL[want]}
            isPressed={form.wants.includes(want)}
            onPress={() => onChange({ wants: toggled(form.wants, want) })}
          />
        ))}
      </PillSet>
      <div className={styles.as}>
        <SelectField
          label="As"
          value={form.technique ?? ANY}
          options={[
            { value: ANY, label: 'you choose' },
            ...TECHNIQUE_IDS.map((id) => ({ value: id, label: techniqueOf(id).label })),
          ]}
          onChange={(id) => onChange({ technique: id === ANY ? null : (id as TechniqueId) })}
        />
      </div>
      <details className={styles.more}>
        <summary>more</summary>
        <div className={styles.moreFields}>
          <DateTimeField label="Begin" value={begin ?? ''} onCommit={(next) => onChange({ begin: next })} />
          <label className={styles.limit}>
            <input
              type="checkbox"
              checked={form.workH !== null}
              onChange={(event) => onChange({ workH: event.target.checked ? SOME_WORK_H : null })}
            />
            Only so much work
          </label>
          {form.workH !== null && (
            <NumberField
              label="Work at most"
              unit="h"
              value={form.workH}
              low={SET_RANGES.handsOnHours.low}
              high={SET_RANGES.handsOnHours.high}
              step={0.25}
              onCommit={(workH) => onChange({ workH })}
            />
          )}
        </div>
      </details>
    </section>
  );
}
