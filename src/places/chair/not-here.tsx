import type { ComponentType } from 'react';
import styles from './chair.module.css';

/** What stands where a part of the program could not be fetched: nothing that is missing takes the chair with it. */
function NotHere({ onClose }: { readonly onClose?: () => void }) {
  return (
    <p className={styles.notice} role="alert">
      This part is not on this device yet. Connect to the studio’s computer and load the page again; taps are
      kept meanwhile.{' '}
      {onClose && (
        <button type="button" onClick={onClose}>
          Close
        </button>
      )}
    </p>
  );
}

/** Fetches a part of the chair, or what says that it is not there. */
export const orNotHere =
  <P extends object>(part: () => Promise<ComponentType<P>>) =>
  (): Promise<ComponentType<P>> =>
    part().catch(() => NotHere as ComponentType<P>);
