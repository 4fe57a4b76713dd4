import Link from '@/ui/shell/link';
import { BecomeOwnerForm } from './become-owner-form';
import { DoorPage } from './door-page';
import { ForgetHere } from './forget-here';
import type { loadSignIn } from './queries';
import { SignInForm } from './sign-in-form';
import styles from './sign-in.module.css';

/** Who signs in on this device. */
export function SignInPage({ loaded, to }: { loaded: Awaited<ReturnType<typeof loadSignIn>>; to: string }) {
  if (loaded.kind === 'computer')
    return (
      <DoorPage title="Nobody signs in here">
        <p>You sit at the studio’s computer: everything is open.</p>
        <Link href="/">Today</Link>
      </DoorPage>
    );
  if (loaded.kind === 'unpaired')
    return (
      <DoorPage title="This device is not paired">
        <ForgetHere />
        <p>
          The owner lets it in: on her screen, in Studio, Phones and people, <i>Pair a phone or tablet</i>.
        </p>
        <Link href="/pair">I have a code</Link>
      </DoorPage>
    );
  const { studio, device, people, needsOwner, isAside } = loaded;
  return (
    <DoorPage title={studio}>
      <ForgetHere />
      {isAside ? (
        <p>This studio is put aside at its computer at the moment. Nothing of it is lost.</p>
      ) : needsOwner ? (
        <BecomeOwnerForm />
      ) : people.length === 0 ? (
        <p>Nobody is written down who could sign in. The owner adds people in Studio.</p>
      ) : (
        <SignInForm people={people} to={to} />
      )}
      <p className={styles.soft}>This device is called {device}.</p>
    </DoorPage>
  );
}
