import styles from './sureness.module.css';

/** How much is known: an empty, a half or a full dot, beside words that say the same. */
export const Sureness = ({ strength }: { readonly strength: 0 | 1 | 2 }) => (
  <i className={styles.dot} data-strength={strength} aria-hidden />
);
