'use client';
import styles from './chair.module.css';

/** What to mind with this head now, in one quiet list; what she reacts to comes first. */
export function ChairCautions({ texts, allergies }: { texts: readonly string[]; allergies: string }) {
  if (texts.length === 0 && allergies === '') return null;
  return (
    <ul className={styles.cautions} aria-label="Mind">
      {allergies && (
        <li>
          <b>Mind: {allergies}</b>
        </li>
      )}
      {texts.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
  );
}
