'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { formatChance } from '@/ui/format';
import { ChairDialog } from './chair-dialog';

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
    <ChairDialog
      open={open}
      title={isFeltDamp ? 'It felt damp' : 'It may still be damp'}
      onClose={onClose}
      close="Wait"
      maxWidth="sm"
      actions={
        <Button disabled={reason.trim() === ''} onClick={() => onTakeDown(reason.trim())}>
          Take it down damp
        </Button>
      }
    >
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
    </ChairDialog>
  );
}
