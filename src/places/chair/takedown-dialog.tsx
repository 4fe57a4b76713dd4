'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { formatChance } from '@/ui/format';

/** Holds a damp takedown behind a plain warning, with a reason to go on all the same. */
export function TakedownDialog({
  open,
  chance,
  isFeltDamp,
  waitUntil,
  onClose,
  onTakeDown,
}: {
  open: boolean;
  chance: number;
  isFeltDamp: boolean;
  /** When it is worth feeling again; null when that is now. */
  waitUntil: string | null;
  onClose: () => void;
  onTakeDown: (reason: string) => void;
}) {
  const [reason, setReason] = useState('');
  return (
    <Dialog
      open={open}
      onClose={onClose}
      disablePortal
      fullWidth
      maxWidth="sm"
      aria-labelledby="takedown-title"
    >
      <DialogTitle id="takedown-title">{isFeltDamp ? 'It felt damp' : 'It may still be damp'}</DialogTitle>
      <DialogContent>
        <p>
          {formatChance(chance)} sure to be dry. Taken down damp it frizzes, shrinks and goes days sooner.
          {waitUntil
            ? `Waiting until about ${waitUntil} would make it 8 in 10.`
            : 'Feel three sections before you decide.'}
        </p>
        <TextField
          label="Why take it down now?"
          fullWidth
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button disabled={reason.trim() === ''} onClick={() => onTakeDown(reason.trim())}>
          Take it down damp
        </Button>
        <Button variant="contained" onClick={onClose} autoFocus>
          Wait
        </Button>
      </DialogActions>
    </Dialog>
  );
}
