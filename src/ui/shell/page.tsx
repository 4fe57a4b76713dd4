import type { ReactNode } from 'react';
import styles from './page.module.css';

/** A place that reads from top to bottom: its title, what can be done, and the work. */
export function Page({
  title,
  lead,
  action,
  children,
}: {
  title: ReactNode;
  lead?: ReactNode;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>{title}</h1>
          {lead && <p>{lead}</p>}
        </div>
        {action}
      </header>
      {children}
    </div>
  );
}

/** A part of a page under its own heading. */
export function Part({ title, note, children }: { title: string; note?: ReactNode; children: ReactNode }) {
  return (
    <section className={styles.part}>
      <h2>
        {title} {note && <small>{note}</small>}
      </h2>
      {children}
    </section>
  );
}
