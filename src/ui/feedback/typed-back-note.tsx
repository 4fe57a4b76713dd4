'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';

/** Says that what was typed before a reload or Back is in the form again, with the way to be rid of it. */
export function TypedBackNote({ isBack, drop }: { isBack: boolean; drop: () => void }) {
  return isBack ? (
    <Alert
      severity="info"
      action={
        <Button size="small" color="inherit" onClick={drop}>
          Drop it
        </Button>
      }
    >
      What you typed before and did not save is back.
    </Alert>
  ) : null;
}
