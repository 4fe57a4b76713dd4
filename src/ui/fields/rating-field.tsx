'use client';
import { useId } from 'react';
import { anchorWords, type RatingScale } from '@/core/wear/rating-scales';
import { formatIndex } from '../format';
import styles from './rating-field.module.css';

/** A 0–10 rating in half points with its anchor said beside it; digits set it, 0 pressed after 1 makes 10. */
export function RatingField({
  scale,
  value,
  onChange,
}: {
  scale: RatingScale;
  value: number | null;
  onChange: (value: number) => void;
}) {
  const id = useId();
  const words = value === null ? 'not rated yet' : anchorWords(scale, value);
  return (
    <div className={styles.field} data-rated={value !== null}>
      <label htmlFor={id}>{scale.label}</label>
      <input
        id={id}
        type="range"
        min={0}
        max={10}
        step={0.5}
        value={value ?? 5}
        aria-valuetext={value === null ? 'not rated yet' : `${value} of 10, ${words}`}
        onChange={(event) => onChange(Number(event.target.value))}
        // A finger on the thumb itself makes no click.
        onClick={(event) => onChange(Number(event.currentTarget.value))}
        onPointerUp={(event) => onChange(Number(event.currentTarget.value))}
        onKeyDown={(event) => {
          if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          onChange(event.key === '0' && value === 1 ? 10 : Number(event.key));
        }}
      />
      <output htmlFor={id}>{value === null ? '–' : formatIndex(value)}</output>
      <span className={styles.words}>{words}</span>
    </div>
  );
}
