'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import { SecretField } from '@/ui/fields/secret-field';
import { errorAt, useAction, type Answer } from '@/ui/hooks/use-action';

interface Owner {
  readonly name: string;
  readonly secret: string;
}

/** An owner's name and passphrase, and what is done with them. */
export function OwnerFields({
  className,
  button,
  act,
  then,
  children,
}: {
  className: string | undefined;
  button: string;
  act: (owner: Owner) => Promise<Answer<unknown>>;
  then?: () => void;
  /** What is said before. */
  children: ReactNode;
}) {
  const [owner, setOwner] = useState<Owner>({ name: '', secret: '' });
  const { run, isBusy, errors, problemBut } = useAction();
  return (
    <form
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        void run(() => act(owner), then);
      }}
    >
      {children}
      <TextField
        label="Your name"
        fullWidth
        autoComplete="name"
        value={owner.name}
        onChange={(event) => setOwner({ ...owner, name: event.target.value })}
        {...errorAt(errors, 'name')}
      />
      <SecretField
        label="Passphrase"
        isPin={false}
        autoComplete="new-password"
        value={owner.secret}
        onChange={(event) => setOwner({ ...owner, secret: event.target.value })}
        {...errorAt(errors, 'secret', 'Fifteen letters or more; four words are good')}
      />
      {problemBut('name', 'secret')}
      <Button type="submit" variant="contained" disabled={isBusy}>
        {button}
      </Button>
    </form>
  );
}
