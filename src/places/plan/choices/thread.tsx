'use client';
import type { ReactNode } from 'react';
import styles from './thread.module.css';

export interface ThreadStep {
  readonly id: string;
  readonly title: string;
  readonly answer: ReactNode;
  readonly note?: ReactNode;
  readonly body: ReactNode;
}

/** The choices as one thread in work order; each shows its answer and opens in place. */
export function Thread({
  steps,
  open,
  onOpen,
}: {
  steps: readonly ThreadStep[];
  open: string | null;
  onOpen: (id: string | null) => void;
}) {
  return (
    <ol className={styles.thread}>
      {steps.map((step) => {
        const isOpen = step.id === open;
        return (
          <li key={step.id} className={styles.step} data-open={isOpen}>
            <button
              type="button"
              className={styles.head}
              aria-expanded={isOpen}
              aria-controls={`step-${step.id}`}
              onClick={() => onOpen(isOpen ? null : step.id)}
            >
              <span className={styles.title}>{step.title}</span>
              <span className={styles.answer}>{step.answer}</span>
              {step.note && <span className={styles.note}>{step.note}</span>}
            </button>
            {isOpen && (
              <div id={`step-${step.id}`} className={styles.body}>
                {step.body}
              </div>
            )}
          </li>
        );
      })}
    </ol>
  );
}
