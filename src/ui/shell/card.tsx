import Link from '@/ui/shell/link';
import type { ReactNode } from 'react';
import styles from './card.module.css';

/** A card that leads somewhere: one link, and what it says. */
export function LinkCard({
  href,
  title,
  figure,
  children,
  tone,
  level = 3,
}: {
  href: string;
  title: string;
  figure?: ReactNode;
  children?: ReactNode;
  tone?: 'now' | 'dry' | 'plain';
  /** Heading level: 2 right under the title of a page. */
  level?: 2 | 3;
}) {
  const Heading = level === 2 ? 'h2' : 'h3';
  return (
    <article className={styles.card} data-tone={tone ?? 'plain'}>
      <div className={styles.text}>
        <Heading>
          <Link href={href}>{title}</Link>
        </Heading>
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
