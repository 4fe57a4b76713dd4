'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { CHAIR_KEYS } from './keys';
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
    <Dialog open={open} onClose={onClose} disablePortal fullWidth maxWidth="xs" aria-labelledby="note-title">
      <DialogTitle id="note-title">A note</DialogTitle>
      <DialogContent>
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
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave</Button>
        <Button variant="contained" onClick={keep}>
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The single keys of the chair. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} disablePortal aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <ul className={styles.keys}>
          {CHAIR_KEYS.map(({ shown, does }) => (
            <li key={shown}>
              <kbd>{shown}</kbd> {does}
            </li>
          ))}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
