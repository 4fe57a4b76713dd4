'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { END_REASON_IDS, endReasons, type EndReasonId } from '@/core/wear/end-reasons';
import { UndoNote, type Done } from '@/ui/feedback/undo-note';
import { useAction } from '@/ui/hooks/use-action';
import { putGivingUpBack, takeBackGivingUp } from './actions';

const isReason = (reason: string): reason is EndReasonId =>
  (END_REASON_IDS as readonly string[]).includes(reason);

/** How a style ended, to be corrected or taken back. */
export function GivenUp({
  setId,
  outcome,
  onCorrect,
}: {
  setId: string;
  outcome: { readonly lastGoodDay: number; readonly reason: string; readonly note: string } | null;
  /** Opens the form that corrects it. */
  onCorrect?: () => void;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const [done, setDone] = useState<Done | null>(null);
  const takeBack = () =>
    run(
      () => takeBackGivingUp({ setId }),
      ({ lastGoodDay, reason, note }) => {
        setDone({
          words: 'Taken back: it is worn on.',
          undo: () => {
            if (isReason(reason))
              void run(
                () => putGivingUpBack({ setId, lastGoodDay, reason, note }),
                () => {
                  setDone(null);
                  router.refresh();
                },
              );
          },
        });
        router.refresh();
      },
    );
  return (
    <div>
      {outcome && (
        <p>
          Last good day: day {outcome.lastGoodDay}.{' '}
          {isReason(outcome.reason) ? endReasons[outcome.reason].label : outcome.reason}. {outcome.note}
        </p>
      )}
      {outcome && (
        <p>
          {onCorrect && (
            <Button size="small" onClick={onCorrect}>
              Correct it
            </Button>
          )}
          <Button size="small" disabled={isBusy} onClick={takeBack}>
            Not given up after all
          </Button>
        </p>
      )}
      <UndoNote done={done} />
      {problem}
    </div>
  );
}
