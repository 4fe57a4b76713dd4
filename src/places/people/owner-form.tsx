'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { setUpOwner } from './actions';
import styles from './people.module.css';

/** The owner's name and passphrase: before there is an owner, nobody can be let in. */
export function OwnerForm() {
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  const { run, isBusy, errors, problemBut } = useAction();
  return (
    <form
      className={styles.stack}
      onSubmit={(event) => {
        event.preventDefault();
        void run(() => setUpOwner({ name, secret }));
      }}
    >
      <p>
        Nobody signs in at this computer, and that stays so. From a phone you sign in with a passphrase: four
        words that do not belong together are good, and easy to type.
      </p>
      <TextField
        label="Your name"
        fullWidth
        autoComplete="name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        {...errorAt(errors, 'name')}
      />
      <TextField
        label="Passphrase"
        type="password"
        fullWidth
        autoComplete="new-password"
        value={secret}
        onChange={(event) => setSecret(event.target.value)}
        {...errorAt(errors, 'secret')}
      />
      {problemBut('name', 'secret')}
      <Button type="submit" variant="contained" disabled={isBusy}>
        Keep
      </Button>
      <p className={styles.soft}>
        Forgotten? It is changed here, at the computer. Keep the computer itself behind a password of its own.
      </p>
    </form>
  );
}
