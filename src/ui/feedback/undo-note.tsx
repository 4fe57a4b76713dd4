'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';

/** What was done, and the way back. */
export interface Done {
  readonly words: string;
  readonly undo: () => void;
}

/** Says what was just done, with its undo. Stays until the next thing is done. */
export function UndoNote({ done }: { done: Done | null }) {
  return (
    <div role="status">
      {done && (
        <Alert
          severity="success"
          icon={false}
          action={
            <Button size="small" color="inherit" onClick={done.undo}>
              Undo
            </Button>
          }
        >
          {done.words}
        </Alert>
      )}
    </div>
  );
}
