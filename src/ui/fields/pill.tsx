import type { ReactNode } from 'react';
import styles from './pill.module.css';

/** A word that is pressed to choose it, and pressed again to let it go. */
export function Pill({
  label,
  isPressed,
  isDisabled = false,
  onPress,
}: {
  readonly label: string;
  readonly isPressed: boolean;
  readonly isDisabled?: boolean;
  readonly onPress: () => void;
}) {
  return (
    <button
      type="button"
      className={styles.pill}
      aria-pressed={isPressed}
      disabled={isDisabled}
      onClick={onPress}
    >
      {label}
    </button>
  );
}

/** Some words of which one or several are pressed, under what is asked. */
export function PillSet({ legend, children }: { readonly legend: string; readonly children: ReactNode }) {
  return (
    <fieldset className={styles.set}>
      <legend>{legend}</legend>
      {children}
    </fieldset>
  );
}
