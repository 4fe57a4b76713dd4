'use client';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import styles from './chair.module.css';

/** Whether this device has promised to keep what waits on it, and a way to ask. */
export function KeptHere() {
  const [isPersisted, setPersisted] = useState<boolean | null>(null);
  const [isAsked, setAsked] = useState(false);
  useEffect(() => {
    let isGone = false;
    void navigator.storage?.persisted?.().then((answer) => {
      if (!isGone) setPersisted(answer);
    });
    return () => {
      isGone = true;
    };
  }, []);
  if (isPersisted === null) return null;
  const ask = async () => {
    setPersisted(await navigator.storage.persist());
    setAsked(true);
  };
  return (
    <p className={styles.keptHere} role="status">
      {isPersisted
        ? 'This device keeps taps that wait, even when it runs short of room.'
        : isAsked
          ? 'This device does not promise to keep taps that wait when it runs short of room. It may later; they are sent as soon as there is a connection.'
          : 'Taps that wait are kept on this device until it runs short of room.'}
      {!isPersisted && (
        <Button size="small" onClick={() => void ask()}>
          {isAsked ? 'Ask again' : 'Ask it to keep them'}
        </Button>
      )}
    </p>
  );
}
