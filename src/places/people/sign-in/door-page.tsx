import type { ReactNode } from 'react';
import { MarkIcon } from '@/ui/icons';
import styles from './sign-in.module.css';

/** What stands before the program: a title and one thing to do. */
export function DoorPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className={styles.page}>
      <div className={styles.card}>
        <span className={styles.mark}>
          <MarkIcon />
        </span>
        <h1>{title}</h1>
        {children}
      </div>
    </main>
  );
}
