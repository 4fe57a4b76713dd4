import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@/ui/shell/link';
import { RedoIcon, UndoIcon } from '@/ui/icons';
import type { Draft, KeptState } from '../use-draft';
import type { DeskSheet } from './desk-view';
import type { DeskActions } from './use-desk-actions';
import styles from '../plan-desk.module.css';

const KEPT_WORDS: Readonly<Record<KeptState, string>> = {
  kept: 'kept',
  keeping: 'keeping…',
  offline: 'no connection, trying again',
  refused: 'not kept yet',
};

/** Name of the plan, whose it is, whether it is kept, and what can be done with it. */
export function DeskBar({
  draft,
  actions,
  head,
  hasPlan,
  isBegun,
  mayBegin,
  onOpen,
}: {
  draft: Draft;
  actions: DeskActions;
  head: { readonly id: string; readonly name: string; readonly description: string };
  /** Whether the plan adds up, so that there is something to print. */
  hasPlan: boolean;
  isBegun: boolean;
  /** Whether nothing speaks against taking it to the chair. */
  mayBegin: boolean;
  onOpen: (sheet: DeskSheet) => void;
}) {
  const { content, edit, undo, redo } = draft;
  return (
    <header className={styles.bar}>
      <input
        className={styles.title}
        aria-label="Name of the plan"
        value={content.title}
        maxLength={80}
        onChange={(event) => edit({ ...content, title: event.target.value })}
      />
      <Link className={styles.chip} href={`/heads/${head.id}`}>
        {[head.name, head.description].filter(Boolean).join(', ')}
      </Link>
      <span className={styles.grow} />
      <span className={styles.kept} role="status">
        {KEPT_WORDS[draft.kept]}
      </span>
      <IconButton aria-label="Undo" onClick={undo} disabled={!draft.canUndo}>
        <UndoIcon />
      </IconButton>
      <IconButton aria-label="Redo" onClick={redo} disabled={!draft.canRedo}>
        <RedoIcon />
      </IconButton>
      <Button variant="outlined" onClick={actions.compare}>
        Compare
      </Button>
      <Button variant="outlined" onClick={() => onOpen('fit')}>
        Fit to my time
      </Button>
      <Button
        variant="outlined"
        disabled={!hasPlan}
        onClick={async () => {
          await draft.keep();
          onOpen('print');
        }}
      >
        Sheet
      </Button>
      <Button variant="outlined" aria-pressed={actions.isBooked} onClick={actions.book}>
        {actions.isBooked ? 'Booked' : 'Book it'}
      </Button>
      <Button
        variant="contained"
        onClick={actions.takeToChair}
        disabled={actions.isBusy || (!isBegun && !mayBegin)}
      >
        {isBegun ? 'Go to the chair' : 'Take to the chair'}
      </Button>
    </header>
  );
}
