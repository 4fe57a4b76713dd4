'use client';
import { openAnew } from '@/ui/shell/open-anew';
import { OwnerFields } from '../owner-fields';
import { becomeOwner } from './actions';
import styles from './sign-in.module.css';

/** The first owner of a studio whose computer nobody sits at. */
export function BecomeOwnerForm() {
  return (
    <OwnerFields className={styles.form} button="Begin" act={becomeOwner} then={() => openAnew('/')}>
      <p>This studio has no owner yet. You were given the code for it: write down who you are.</p>
    </OwnerFields>
  );
}
