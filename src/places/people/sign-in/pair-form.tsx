'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { useAddressSecret } from '@/ui/hooks/use-address-secret';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { pair } from './actions';
import { deviceName } from '@/core/people/device-name';
import { openAnew } from '@/ui/shell/open-anew';
import styles from './sign-in.module.css';

/** Pairs this device: by the code that its camera read, or by one that is typed. */
export function PairForm() {
  const [token, setToken] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  const [name, setName] = useState('');
  const { run, isBusy, errors, problemBut } = useAction();
  useAddressSecret(setToken);
  useEffect(() => {
    // What it is, the browser alone knows.
    queueMicrotask(() => setName(deviceName(navigator.userAgent)));
  }, []);
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void run(
          () => pair({ code: token ?? typed, name }),
          () => openAnew('/sign-in'),
        ).then((answer) => {
          // What was read pairs no more: another can be typed.
          if (answer && !answer.ok) setToken(null);
        });
      }}
    >
      {token === null ? (
        <TextField
          label="Code from the owner’s screen"
          placeholder="ABCD-2345"
          fullWidth
          autoComplete="one-time-code"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          slotProps={{ htmlInput: { autoCapitalize: 'characters', spellCheck: false, maxLength: 12 } }}
          {...errorAt(errors, 'code', 'Studio, Phones and people, Pair a phone or tablet')}
        />
      ) : (
        <p>The code is read.</p>
      )}
      <TextField
        label="What this device is called"
        fullWidth
        value={name}
        onChange={(event) => setName(event.target.value)}
        {...errorAt(errors, 'name', 'Such as “Tablet at the second chair”')}
      />
      {problemBut('code', 'name')}
      <Button type="submit" variant="contained" size="large" disabled={isBusy}>
        Pair this device
      </Button>
    </form>
  );
}
