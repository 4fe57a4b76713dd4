import Link from 'next/link';
import type { ReactNode } from 'react';
import styles from './card.module.css';

/** A card that leads somewhere: one link, and what it says. */
export function LinkCard({
  href,
  title,
  figure,
  children,
  tone,
}: {
  href: string;
  title: string;
  figure?: ReactNode;
  children?: ReactNode;
  tone?: 'now' | 'dry' | 'plain';
}) {
  return (
    <article className={styles.card} data-tone={tone ?? 'plain'}>
      <div className={styles.text}>
        <h3>
          <Link href={href}>{title}</Link>
        </h3>
        {children}
      </div>
      {figure && <div className={styles.figure}>{figure}</div>}
    </article>
  );
}

/** Cards side by side, as many as fit. */
export const Cards = ({ children }: { children: ReactNode }) => (
  <div className={styles.cards}>{children}</div>
);
