'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { SecretField } from '@/ui/fields/secret-field';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { changeOwnSecret } from './actions';
import styles from './sign-in.module.css';

const EMPTY = { before: '', secret: '' };

/** Another PIN or passphrase, by whoever knows the one before. */
export function OwnSecretForm({ isOwner }: { isOwner: boolean }) {
  const [typed, setTyped] = useState(EMPTY);
  const [isKept, setKept] = useState(false);
  const { run, isBusy, errors, problemBut } = useAction();
  const what = isOwner ? 'passphrase' : 'PIN';
  const field = (
    name: keyof typeof EMPTY,
    label: string,
    autoComplete: 'current-password' | 'new-password',
  ) => (
    <SecretField
      label={label}
      isPin={!isOwner}
      autoComplete={autoComplete}
      value={typed[name]}
      onChange={(event) => {
        setKept(false);
        setTyped({ ...typed, [name]: event.target.value });
      }}
      {...errorAt(errors, name)}
    />
  );
  return (
    <form
      className={`${styles.card} ${styles.form}`}
      onSubmit={(event) => {
        event.preventDefault();
        void run(
          () => changeOwnSecret(typed),
          () => {
            setKept(true);
            setTyped(EMPTY);
          },
        );
      }}
    >
      {field('before', `The ${what} you have`, 'current-password')}
      {field('secret', `Another ${what}`, 'new-password')}
      {problemBut('before', 'secret')}
      <div className={styles.row}>
        <Button type="submit" variant="outlined" disabled={isBusy}>
          Change it
        </Button>
        <span role="status">{isKept ? 'Changed; elsewhere you are signed out' : ''}</span>
      </div>
    </form>
  );
}
