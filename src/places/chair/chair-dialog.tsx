'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId, type ReactNode } from 'react';

/** What opens over the chair: a title, what can be done, and a way back, always in the same place. */
export function ChairDialog({
  open,
  title,
  onClose,
  close = 'Close',
  maxWidth = 'xs',
  actions,
  className,
  children,
}: {
  readonly open: boolean;
  readonly title: string;
  readonly onClose: () => void;
  /** What the way back says. */
  readonly close?: string;
  readonly maxWidth?: 'xs' | 'sm' | 'md';
  readonly actions?: ReactNode;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}) {
  const id = useId();
  return (
    <Dialog open={open} onClose={onClose} disablePortal fullWidth maxWidth={maxWidth} aria-labelledby={id}>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent {...(className ? { className } : {})}>{children}</DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus={actions === undefined}>
          {close}
        </Button>
        {actions}
      </DialogActions>
    </Dialog>
  );
}
