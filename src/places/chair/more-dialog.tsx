'use client';
import { ChairDialog } from './chair-dialog';
import { shownKey, type ChairKey } from './keys';
import styles from './chair.module.css';

/** Something to do at the chair that is not done often enough to lie under the thumb. */
export interface ChairAction {
  readonly label: string;
  readonly hint?: string;
  readonly key?: ChairKey;
  readonly isOff?: boolean;
  readonly run: () => void;
}

/** Everything else that can be done here, in one list. */
export function MoreDialog({
  actions,
  onClose,
}: {
  readonly actions: readonly ChairAction[];
  readonly onClose: () => void;
}) {
  return (
    <ChairDialog open title="More" onClose={onClose} maxWidth="sm">
      <div className={styles.more}>
        {actions.map(({ label, hint, key, isOff, run }) => (
          <button
            key={label}
            type="button"
            disabled={isOff}
            onClick={() => {
              onClose();
              run();
            }}
          >
            <span>
              {label}
              {hint && <small>{hint}</small>}
            </span>
            {key && <kbd>{shownKey(key)}</kbd>}
          </button>
        ))}
      </div>
    </ChairDialog>
  );
}
