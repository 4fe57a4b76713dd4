'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PersonMark } from '@/ui/people/person-mark';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { PersonDialog, type PersonCard } from './person-dialog';
import styles from './people.module.css';

/** Who may come in. */
export function People({ people }: { people: readonly (PersonCard & { readonly id: string })[] }) {
  const [open, setOpen] = useState<(PersonCard & { readonly id: string | null }) | null>(null);
  const isLastOwner = (id: string | null) =>
    people.filter(({ role }) => role === 'owner').every((owner) => owner.id === id);
  return (
    <>
      <ul className={styles.list} aria-label="People">
        {people.map((person) => (
          <li key={person.id}>
            <PersonMark colour={person.colour} />
            <span className={styles.who}>
              <b>{person.name}</b>
              <small>{ROLE_WORDS[person.role].label}</small>
            </span>
            <Button size="small" aria-label={`Change ${person.name}`} onClick={() => setOpen(person)}>
              Change
            </Button>
          </li>
        ))}
      </ul>
      <Button
        variant="outlined"
        onClick={() => setOpen({ id: null, name: '', role: 'assistant', colour: people.length % 4 })}
      >
        Add somebody
      </Button>
      {open && (
        <PersonDialog
          key={open.id ?? 'new'}
          person={open}
          isLastOwner={isLastOwner(open.id)}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}
