'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import styles from './confirm-dialog.module.css';

/** Asks before something that is hard to take back; for good, it has to be typed. */
export function ConfirmDialog({
  title,
  confirm,
  typed,
  isReady = true,
  onConfirm,
  onCancel,
  children,
}: {
  title: string;
  confirm: string;
  /** What must be typed before it can be done. */
  typed?: string;
  /** Whether what it needs is chosen. */
  isReady?: boolean;
  onConfirm: () => void;
  onCancel: () => void;
  children: ReactNode;
}) {
  const [text, setText] = useState('');
  const isTyped = typed === undefined || text.trim() === typed.trim();
  return (
    <Dialog open onClose={onCancel} fullWidth maxWidth="xs" aria-labelledby="confirm-title">
      <DialogTitle id="confirm-title">{title}</DialogTitle>
      <DialogContent>
        <div className={styles.asked}>{children}</div>
        {typed !== undefined && (
          <TextField
            label={`Type “${typed}” to go on`}
            fullWidth
            margin="normal"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onCancel} autoFocus={typed === undefined}>
          Leave it
        </Button>
        <Button variant="contained" disabled={!isReady || !isTyped} onClick={onConfirm}>
          {confirm}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
