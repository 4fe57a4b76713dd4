'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { becomeOwner } from './actions';
import { openAnew } from '@/ui/shell/open-anew';
import styles from './sign-in.module.css';

/** The first owner of a studio whose computer nobody sits at. */
export function BecomeOwnerForm() {
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  const { run, isBusy, errors, problemBut } = useAction();
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void run(
          () => becomeOwner({ name, secret }),
          () => openAnew('/'),
        );
      }}
    >
      <p>This studio has no owner yet. You were given the code for it: write down who you are.</p>
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
        {...errorAt(errors, 'secret', 'Fifteen letters or more; four words are good')}
      />
      {problemBut('name', 'secret')}
      <Button type="submit" variant="contained" size="large" disabled={isBusy}>
        Begin
      </Button>
    </form>
  );
}
