'use client';
import { useId, type ReactNode } from 'react';
import styles from './choice-list.module.css';

export interface Choice<V extends string> {
  readonly value: V;
  readonly label: string;
  readonly hint?: ReactNode;
}

export interface ChoiceListProps<V extends string> {
  readonly legend: string;
  readonly value: V;
  readonly choices: readonly Choice<V>[];
  readonly onChange: (value: V) => void;
  /** Side by side instead of one under the other. */
  readonly inline?: boolean;
}

/** One of a few, all in view. */
export function ChoiceList<V extends string>({
  legend,
  value,
  choices,
  onChange,
  inline,
}: ChoiceListProps<V>) {
  const name = useId();
  return (
    <fieldset className={inline ? `${styles.list} ${styles.inline}` : styles.list}>
      <legend className="visually-hidden">{legend}</legend>
      {choices.map((choice) => (
        <label key={choice.value} className={styles.choice}>
          <input
            type="radio"
            name={name}
            value={choice.value}
            checked={choice.value === value}
            onChange={() => onChange(choice.value)}
          />
          <span>
            <span className={styles.label}>{choice.label}</span>
            {choice.hint && <span className={styles.hint}>{choice.hint}</span>}
          </span>
        </label>
      ))}
    </fieldset>
  );
}
