'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Role } from '@/core/people/permission';
import { SecretField } from '@/ui/fields/secret-field';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { PersonMark } from '@/ui/people/person-mark';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { goesBy } from '../../chair/chair-settings';
import { signIn } from './actions';
import { askPasskey, signInByPasskey } from './passkey-actions';
import { openAnew } from '@/ui/shell/open-anew';
import styles from './sign-in.module.css';

interface Somebody {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly colour: number;
  /** Whether she has a passkey here. */
  readonly hasPasskey: boolean;
}

/** Who is it, and her PIN. */
export function SignInForm({ people, to }: { people: readonly Somebody[]; to: string }) {
  const [person, setPerson] = useState<Somebody | null>(people.length === 1 ? people[0]! : null);
  const [secret, setSecret] = useState('');
  const { run, isBusy, errors, problemBut } = useAction();
  if (!person)
    return (
      <ul className={styles.people} aria-label="Who is it?">
        {people.map((one) => (
          <li key={one.id}>
            <button type="button" className={styles.person} onClick={() => setPerson(one)}>
              <PersonMark colour={one.colour} />
              <span>
                {one.name}
                <small>{ROLE_WORDS[one.role].label}</small>
              </span>
            </button>
          </li>
        ))}
      </ul>
    );
  const isOwner = person.role === 'owner';
  const signedIn = ({ name }: { name: string }) => {
    goesBy(name);
    openAnew(to);
  };
  const byPasskey = async () => {
    const asked = await run(() => askPasskey({ personId: person.id }));
    if (!asked?.ok) return;
    const { startAuthentication } = await import('@simplewebauthn/browser');
    // Whoever turns away can still type.
    const response = await startAuthentication({ optionsJSON: asked.value }).catch(() => null);
    if (response)
      await run(() => signInByPasskey({ personId: person.id, response: { ...response } }), signedIn);
  };
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void run(() => signIn({ personId: person.id, secret }), signedIn).then((answer) => {
          if (answer && !answer.ok) setSecret('');
        });
      }}
    >
      <span className={styles.chosen}>
        <PersonMark colour={person.colour} /> <b>{person.name}</b>
      </span>
      <SecretField
        key={person.id}
        label={isOwner ? 'Passphrase' : 'PIN'}
        isPin={!isOwner}
        autoFocus
        autoComplete="current-password"
        value={secret}
        onChange={(event) => setSecret(event.target.value)}
        {...errorAt(errors, 'secret')}
      />
      {problemBut('secret')}
      <div className={styles.row}>
        <Button type="submit" variant="contained" size="large" disabled={isBusy}>
          Sign in
        </Button>
        {person.hasPasskey && (
          <Button variant="outlined" size="large" disabled={isBusy} onClick={() => void byPasskey()}>
            Use a passkey
          </Button>
        )}
        {people.length > 1 && (
          <Button
            size="large"
            onClick={() => {
              setPerson(null);
              setSecret('');
            }}
          >
            Somebody else
          </Button>
        )}
      </div>
    </form>
  );
}
