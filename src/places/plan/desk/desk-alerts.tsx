import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { FieldError } from '@/core/formats/field-error';
import { sentence } from '@/core/words/words';
import type { Draft } from '../use-draft';
import type { DeskActions } from './use-desk-actions';
import styles from '../plan-desk.module.css';

/** Troubles that are named at once; the rest follow when these are mended. */
const MOST_TROUBLES = 3;

/** What stands in the way of a plan, and what to know about it. */
export function DeskAlerts({
  draft,
  actions,
  errors,
  headName,
  isBegun,
  isAside,
  lateWords,
}: {
  draft: Draft;
  actions: DeskActions;
  errors: readonly FieldError[];
  headName: string;
  isBegun: boolean;
  isAside: boolean;
  /** What to do about a day that cannot be kept; null for one that can. */
  lateWords: string | null;
}) {
  return (
    <div className={styles.alerts}>
      {draft.conflict && (
        <Alert
          severity="warning"
          action={
            <>
              <Button size="small" onClick={() => void draft.resolveConflict('theirs')}>
                Take the other
              </Button>
              <Button size="small" onClick={() => void draft.resolveConflict('mine')}>
                Keep this one
              </Button>
            </>
          }
        >
          This plan was changed in another tab. What you see here is not lost: choose which one to keep.
        </Alert>
      )}
      {[...errors, ...draft.errors, ...actions.errors].slice(0, MOST_TROUBLES).map((error) => (
        <Alert severity="warning" key={`${error.path}/${error.message}`}>
          {sentence(error.message)}
        </Alert>
      ))}
      {isBegun && (
        <Alert severity="info">
          This plan was begun. The set keeps what was planned then; what you change here counts for the next
          time.
        </Alert>
      )}
      {isAside && (
        <Alert
          severity="info"
          action={
            <Button size="small" disabled={actions.isBusy} onClick={actions.takeBack}>
              Take it back
            </Button>
          }
        >
          This plan is put aside.
        </Alert>
      )}
      {actions.isNewer && (
        <Alert
          severity="info"
          action={
            <Button size="small" onClick={actions.takeNewMeasurement}>
              Use the new ones
            </Button>
          }
        >
          {headName} was measured again since this plan was made.
        </Alert>
      )}
      {lateWords && <Alert severity="info">{lateWords}</Alert>}
    </div>
  );
}
