'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState, type FormEventHandler, type ReactNode } from 'react';
import { TypedBackNote } from '@/ui/feedback/typed-back-note';
import type { FormProblem } from '@/ui/hooks/use-checked-form';
import { LinkButton } from '@/ui/shell/link-button';
import { takeOff } from './actions';
import styles from './shelf-form.module.css';

/** The frame of every form of the shelf: what is wrong, the fields, keep, leave, and take off the shelf. */
export function ShelfForm({
  kind,
  id,
  keep,
  problem,
  busy,
  unsaved,
  onSubmit,
  children,
}: {
  kind: 'product' | 'tool' | 'dryer' | 'mix';
  /** Null while it is new. */
  id: string | null;
  keep: string;
  problem: FormProblem | null;
  busy: boolean;
  unsaved: { readonly isBack: boolean; readonly drop: () => void };
  onSubmit: FormEventHandler;
  children: ReactNode;
}) {
  const router = useRouter();
  const [isSure, setSure] = useState(false);
  const remove = async () => {
    if (!isSure || id === null) return setSure(true);
    const answer = await takeOff({ kind, id });
    if (answer.ok) router.push('/shelf');
  };
  return (
    <form onSubmit={onSubmit} noValidate className={styles.form}>
      <TypedBackNote isBack={unsaved.isBack} drop={unsaved.drop} />
      {problem && <Alert severity="warning">{problem.text}</Alert>}
      {children}
      <footer className={styles.footer}>
        <Button type="submit" variant="contained" disabled={busy}>
          {keep}
        </Button>
        <LinkButton href="/shelf">Leave</LinkButton>
        {id !== null && (
          <Button color="error" onClick={() => void remove()}>
            {isSure ? 'Yes, take it off the shelf' : 'Take it off the shelf'}
          </Button>
        )}
      </footer>
    </form>
  );
}
