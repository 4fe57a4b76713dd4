'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { useAction } from '@/ui/hooks/use-action';
import { planLikeSet } from '../plan/actions';
import { plural } from '@/core/words/words';
import { bringBackSet, cancelSet } from './actions';

/** Another draft with the same choices, products and parting, on today's measurements. */
export function DoItAgain({
  setId,
  label = 'Do it again',
  name,
  size = 'medium',
}: {
  setId: string;
  label?: string;
  /** For screen readers, where several stand on one page. */
  name?: string;
  size?: 'small' | 'medium';
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Button
        variant="outlined"
        size={size}
        disabled={isBusy}
        aria-label={name}
        onClick={() =>
          run(
            () => planLikeSet({ setId }),
            ({ id }) => router.push(`/plan/${id}`),
          )
        }
      >
        {label}
      </Button>
      {problem}
    </>
  );
}

/** Takes back a set that was begun by mistake. */
export function CancelSet({ setId, doneCount }: { setId: string; doneCount: number }) {
  const router = useRouter();
  const [isAsking, setAsking] = useState(false);
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Button size="small" disabled={isBusy} onClick={() => setAsking(true)}>
        Begun by mistake?
      </Button>
      {problem}
      {isAsking && (
        <ConfirmDialog
          title="Cancel this set?"
          confirm="Cancel the set"
          onCancel={() => setAsking(false)}
          onConfirm={() => {
            setAsking(false);
            void run(
              () => cancelSet({ setId }),
              () => router.refresh(),
            );
          }}
        >
          Its products go back on the shelf and its plan is as it was before.
          {doneCount > 0 &&
            ` ${plural(doneCount, 'section is', 'sections are')} marked done in it; that is kept.`}{' '}
          It stands under Sets, Cancelled, and can be brought back.
        </ConfirmDialog>
      )}
    </>
  );
}

/** Says that a set was cancelled, with the way back. */
export function CancelledNote({ setId }: { setId: string }) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Alert
        severity="info"
        action={
          <Button
            size="small"
            color="inherit"
            disabled={isBusy}
            onClick={() =>
              run(
                () => bringBackSet({ setId }),
                () => router.refresh(),
              )
            }
          >
            Undo: bring it back
          </Button>
        }
      >
        This set was cancelled. Its products are back on the shelf.
      </Alert>
      {problem}
    </>
  );
}
