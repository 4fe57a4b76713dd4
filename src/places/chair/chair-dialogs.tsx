'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { CHAIR_KEYS } from './keys';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

/** A note on the set, kept with its time. */
export function NoteDialog({
  open,
  onClose,
  onNote,
}: {
  open: boolean;
  onClose: () => void;
  onNote: (note: string) => void;
}) {
  const [note, setNote] = useState('');
  const keep = () => {
    if (note.trim() !== '') onNote(note.trim());
    setNote('');
    onClose();
  };
  return (
    <ChairDialog
      open={open}
      title="A note"
      onClose={onClose}
      close="Leave"
      actions={
        <Button variant="contained" onClick={keep}>
          Keep
        </Button>
      }
    >
      <TextField
        autoFocus
        fullWidth
        multiline
        minRows={2}
        aria-label="Note"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 500, 'aria-label': 'Note' } }}
      />
    </ChairDialog>
  );
}

/** The single keys of the chair. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <ChairDialog open title="Keys" onClose={onClose}>
      <ul className={styles.keys}>
        {CHAIR_KEYS.map(({ shown, does }) => (
          <li key={shown}>
            <kbd>{shown}</kbd> {does}
          </li>
        ))}
      </ul>
    </ChairDialog>
  );
}
