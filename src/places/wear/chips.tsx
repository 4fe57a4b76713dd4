'use client';
import type { ReactNode } from 'react';
import styles from './chips.module.css';

/** A choice that is on or off. */
export function Chip({
  isOn,
  isPale = false,
  onToggle,
  children,
}: {
  readonly isOn: boolean;
  /** As yesterday, not taken yet. */
  readonly isPale?: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}) {
  return (
    <button type="button" className={styles.chip} aria-pressed={isOn} data-pale={isPale} onClick={onToggle}>
      {children}
    </button>
  );
}

/** Chips of one question. */
export const Chips = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <div className={styles.group} role="group" aria-label={title}>
    <h2>{title}</h2>
    <div className={styles.chips}>{children}</div>
  </div>
);
