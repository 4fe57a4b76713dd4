import type { ReactNode } from 'react';
import styles from './empty-state.module.css';

/** What a place says when it has nothing to show: the next step. */
export function EmptyState({ title, text, action }: { title: string; text: string; action?: ReactNode }) {
  return (
    <section className={styles.empty}>
      <h2>{title}</h2>
      <p>{text}</p>
      {action}
    </section>
  );
}
