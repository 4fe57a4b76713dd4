'use client';
import Button from '@mui/material/Button';
import { startRegistration } from '@simplewebauthn/browser';
import { useState } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { beginPasskey, dropPasskeys, keepPasskey } from './passkey-actions';
import styles from './sign-in.module.css';

/** A key that this phone keeps, in the place of a PIN or passphrase. */
export function OwnPasskey({ hasOne: had }: { hasOne: boolean }) {
  const [hasOne, setOne] = useState(had);
  const [said, setSaid] = useState('');
  const { run, isBusy, problem } = useAction();
  const make = async () => {
    setSaid('');
    const asked = await run(() => beginPasskey({}));
    if (!asked?.ok) return;
    // The phone asks for a finger, a face or its own code; whoever turns away is told nothing more.
    const response = await startRegistration({ optionsJSON: asked.value }).catch(() => null);
    if (!response) return setSaid('No key was made.');
    await run(
      () => keepPasskey({ response: { ...response } }),
      () => {
        setOne(true);
        setSaid('From now on this device signs you in by it.');
      },
    );
  };
  return (
    <div className={styles.card}>
      <p>
        A finger, a face, or the code that opens this phone, in the place of what you type. The key never
        leaves the phone.
      </p>
      <div className={styles.row}>
        <Button variant="outlined" disabled={isBusy} onClick={() => void make()}>
          {hasOne ? 'Make one on this device too' : 'Make a passkey'}
        </Button>
        {hasOne && (
          <Button
            disabled={isBusy}
            onClick={() =>
              void run(
                () => dropPasskeys({}),
                () => {
                  setOne(false);
                  setSaid('Your passkeys are forgotten.');
                },
              )
            }
          >
            Forget mine
          </Button>
        )}
      </div>
      <p className={styles.soft} role="status">
        {said}
      </p>
      {problem}
    </div>
  );
}
