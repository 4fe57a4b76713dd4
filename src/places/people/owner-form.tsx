'use client';
import { setUpOwner } from './actions';
import { OwnerFields } from './owner-fields';
import styles from './people.module.css';

/** The owner's name and passphrase: before there is an owner, nobody can be let in. */
export function OwnerForm() {
  return (
    <>
      <OwnerFields className={styles.stack} button="Keep" act={setUpOwner}>
        <p>
          Nobody signs in at this computer, and that stays so. From a phone you sign in with a passphrase:
          four words that do not belong together are good, and easy to type.
        </p>
      </OwnerFields>
      <p className={styles.soft}>
        Forgotten? It is changed here, at the computer. Keep the computer itself behind a password of its own.
      </p>
    </>
  );
}
