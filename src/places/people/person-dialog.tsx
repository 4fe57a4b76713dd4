'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ROLES, type Role } from '@/core/people/permission';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { ChoiceList } from '@/ui/fields/choice-list';
import { SecretField } from '@/ui/fields/secret-field';
import { errorAt, useAction } from '@/ui/hooks/use-action';
import { PersonMark } from '@/ui/people/person-mark';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { addPerson, changePerson, revokePerson } from './actions';
import styles from './people.module.css';

/** Somebody as she is written down. */
export interface PersonCard {
  readonly name: string;
  readonly role: Role;
  readonly colour: number;
}

const COLOURS = ['blue', 'green', 'rust', 'plum'] as const;
const ROLE_CHOICES = ROLES.map((value) => ({ value, ...ROLE_WORDS[value] }));

/** Somebody new, or changed. */
export function PersonDialog({
  person: { id, ...before },
  isLastOwner,
  onClose,
}: {
  person: PersonCard & { readonly id: string | null };
  isLastOwner: boolean;
  onClose: () => void;
}) {
  const router = useRouter();
  const [card, setCard] = useState<PersonCard>(before);
  const [secret, setSecret] = useState('');
  const [isLeaving, setLeaving] = useState(false);
  const { run, isBusy, errors, problemBut } = useAction();
  const isOwner = card.role === 'owner';
  // Another kind of secret is asked for with another role.
  const isNewSecret = id === null || isOwner !== (before.role === 'owner');
  const keep = async () => {
    const answer = await run<unknown>(
      () =>
        id === null
          ? addPerson({ ...card, secret })
          : changePerson({
              personId: id,
              before,
              ...card,
              secret: isNewSecret || secret !== '' ? secret : null,
            }),
      onClose,
    );
    // What another tab made of her stands behind this dialog.
    if (answer?.ok === false && ['conflict', 'not-found'].includes(answer.code)) router.refresh();
  };
  if (isLeaving && id !== null)
    return (
      <ConfirmDialog
        title={`Let ${before.name} in no more?`}
        confirm="Let her in no more"
        onCancel={() => setLeaving(false)}
        onConfirm={() => void run(() => revokePerson({ personId: id }), onClose)}
      >
        She is signed out everywhere at once. What she did stays as it is, under her name.
        {problemBut()}
      </ConfirmDialog>
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="person-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <DialogTitle id="person-title">{id === null ? 'Somebody new' : before.name}</DialogTitle>
        <DialogContent>
          <div className={styles.fields}>
            <TextField
              label="Name"
              fullWidth
              autoFocus={id === null}
              value={card.name}
              onChange={(event) => setCard({ ...card, name: event.target.value })}
              {...errorAt(errors, 'name')}
            />
            <ChoiceList
              legend="What she may do"
              value={card.role}
              choices={isLastOwner ? ROLE_CHOICES.filter(({ value }) => value === 'owner') : ROLE_CHOICES}
              onChange={(role) => setCard({ ...card, role })}
            />
            <div className={styles.choices} role="group" aria-label="Her mark on maps">
              {COLOURS.map((label, colour) => (
                <button
                  key={label}
                  type="button"
                  aria-label={label}
                  aria-pressed={card.colour === colour}
                  onClick={() => setCard({ ...card, colour })}
                >
                  <PersonMark colour={colour} />
                </button>
              ))}
            </div>
            <SecretField
              label={`${isNewSecret ? '' : 'Another '}${isOwner ? 'passphrase' : 'PIN'}`.replace(/^./, (l) =>
                l.toUpperCase(),
              )}
              isPin={!isOwner}
              autoComplete="new-password"
              value={secret}
              onChange={(event) => setSecret(event.target.value)}
              {...errorAt(
                errors,
                'secret',
                isNewSecret
                  ? isOwner
                    ? 'Fifteen letters or more; four words are good'
                    : 'Four numerals or more; she types it on the phone'
                  : 'Left empty, the one she has stays',
              )}
            />
            {problemBut('name', 'secret')}
          </div>
        </DialogContent>
        <DialogActions>
          {id !== null && !isLastOwner && (
            <Button color="error" onClick={() => setLeaving(true)} style={{ marginRight: 'auto' }}>
              Let in no more
            </Button>
          )}
          <Button onClick={onClose}>Leave it</Button>
          <Button type="submit" variant="contained" disabled={isBusy}>
            Keep
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
