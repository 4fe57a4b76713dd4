'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { lazy, Suspense, useId, useState } from 'react';
import type { AskedCard } from './how-done-cards';

// Drawings are fetched when somebody looks.
const HowDoneCards = lazy(() =>
  import('./how-done-cards').then((module) => ({ default: module.HowDoneCards })),
);

/** Opens the cards of something that was chosen: how it is done, step by step, with drawings. */
export function HowDone({ of, skin }: { readonly of: readonly AskedCard[]; readonly skin: string }) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)} sx={{ alignSelf: 'flex-start' }}>
        How it is done
      </Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} fullWidth maxWidth="md" aria-labelledby={id}>
        <DialogTitle id={id}>How it is done</DialogTitle>
        <DialogContent>
          <Suspense fallback={<p role="status">Drawing…</p>}>
            <HowDoneCards of={of} skin={skin} />
          </Suspense>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
