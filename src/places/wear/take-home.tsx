'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import styles from './wear-desk.module.css';

/** It reads codes by camera: that comes when it is asked for. */
const BringBackDialog = dynamic(
  () => import('./bring-back-dialog').then((module) => module.BringBackDialog),
  {
    ssr: false,
  },
);

/** What goes home with a set, and comes back from there. */
export function TakeHome({ setId, clock }: { readonly setId: string; readonly clock: Clock }) {
  const [isBack, setBack] = useState(false);
  const file = (name: string) => `/api/v1/sets/${setId}/take-home/${name}`;
  return (
    <>
      <p className={styles.hint}>
        One file for the client’s phone: the same scales, tonight’s care and when to wash. It works without a
        connection and keeps what is entered; back comes its code, or its text.
      </p>
      <div className={styles.home}>
        <Button href={file('diary.html')} variant="outlined" download>
          Diary for the phone
        </Button>
        <Button href={file('diary.pdf')} variant="outlined" target="_blank">
          On paper
        </Button>
        <Button href={file('care-card.pdf')} variant="outlined" target="_blank">
          Care card
        </Button>
        <Button variant="contained" onClick={() => setBack(true)}>
          Bring it back
        </Button>
      </div>
      {isBack && <BringBackDialog setId={setId} clock={clock} onClose={() => setBack(false)} />}
    </>
  );
}
