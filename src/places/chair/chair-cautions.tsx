'use client';
import styles from './chair.module.css';

/** What to mind with this head now, in one quiet list. */
export function ChairCautions({ texts }: { texts: readonly string[] }) {
  if (texts.length === 0) return null;
  return (
    <ul className={styles.cautions} aria-label="Mind">
      {texts.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
  );
}
