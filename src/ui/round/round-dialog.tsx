'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import type { ShownHead } from './round-stage';
import { RoundView } from './round-view';
import styles from './round-dialog.module.css';

/** Titles of plans may say whose they are: before her eyes only their letter stays. */
const nameless = (head: ShownHead): ShownHead => ({
  ...head,
  title: head.title && head.title.split(' ')[0]!,
});

/** Heads in the round, drawn from the forecast alone. Shown to her, nothing of the studio stands beside them. */
export function RoundDialog({ heads, onClose }: { heads: readonly ShownHead[]; onClose: () => void }) {
  const [isForHer, setForHer] = useState(false);
  const isPhone = useMediaQuery('(max-width: 700px)');
  return (
    <Dialog
      open
      onClose={isForHer ? () => setForHer(false) : onClose}
      aria-labelledby="round-title"
      maxWidth="lg"
      fullWidth
      fullScreen={isForHer || isPhone}
    >
      <div className={isForHer || isPhone ? styles.whole : styles.dialog}>
        <header className={styles.head}>
          <h2 id="round-title">In the round</h2>
          {isForHer ? (
            <Button onClick={() => setForHer(false)}>Done showing</Button>
          ) : (
            <Button onClick={onClose}>Leave</Button>
          )}
        </header>
        <RoundView heads={isForHer ? heads.map(nameless) : heads}>
          {!isForHer && (
            <Button variant="outlined" size="small" onClick={() => setForHer(true)}>
              Show her
            </Button>
          )}
        </RoundView>
      </div>
    </Dialog>
  );
}
