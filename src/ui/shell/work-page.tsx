import type { ReactNode } from 'react';
import styles from './work-page.module.css';

/** A page that is worked on over the whole height: a bar with what it is and what can be done, the work below. */
export function WorkPage({
  title,
  lead,
  beside,
  actions,
  children,
}: {
  readonly title: string;
  readonly lead: string;
  /** Stands between the title and what can be done. */
  readonly beside?: ReactNode;
  readonly actions: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>{title}</h1>
          {lead && <p>{lead}</p>}
        </div>
        {beside}
        <span className={styles.actions}>{actions}</span>
      </header>
      {children}
    </div>
  );
}
