import { Page, Part } from '@/ui/shell/page';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { OwnHand } from './own-hand';
import { OwnPasskey } from './own-passkey';
import { OwnSecretForm } from './own-secret-form';
import type { loadMe } from './queries';
import { SignOut } from './sign-out';
import styles from './sign-in.module.css';

/** Who is signed in, what she may do here, and what she has of her own. */
export function MePage({
  person,
  device,
  role,
  studio,
  hand,
  hasPasskey,
}: Awaited<ReturnType<typeof loadMe>>) {
  if (!person || !device)
    return (
      <Page title="At the computer">
        <p>You sit at the studio’s computer: everything is open, and nobody signs in.</p>
      </Page>
    );
  return (
    <Page title={person.name} lead={`${ROLE_WORDS[person.role].label} at ${studio}`} action={<SignOut />}>
      <dl className={styles.facts}>
        <dt>This device</dt>
        <dd>{device.name}</dd>
        <dt>What you may do on it</dt>
        <dd>{ROLE_WORDS[role].hint}</dd>
      </dl>
      <Part title="Your own way of working">
        <OwnHand hand={hand} />
      </Part>
      <Part title={person.role === 'owner' ? 'Your passphrase' : 'Your PIN'}>
        <OwnSecretForm isOwner={person.role === 'owner'} />
      </Part>
      {hasPasskey !== null && (
        <Part title="A passkey">
          <OwnPasskey hasOne={hasPasskey} />
        </Part>
      )}
    </Page>
  );
}
