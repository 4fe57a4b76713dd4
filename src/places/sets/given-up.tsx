'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { nightCares } from '@/core/coefficients/night-care';
import type { HalfOutcome } from '@/core/diary/outcome';
import { endReasons } from '@/core/wear/end-reasons';
import { ratingScales, type RatingId } from '@/core/wear/rating-scales';
import { capitalised, sentence } from '@/core/words/words';
import { UndoNote, type Done } from '@/ui/feedback/undo-note';
import { useAction } from '@/ui/hooks/use-action';
import { putGivingUpBack, takeBackGivingUp } from './actions';

const HALF_WORDS = { whole: '', left: 'Left half: ', right: 'Right half: ' } as const;

/** How a style, or a half of it, ended, in a sentence or two. */
export function endWords({
  half,
  lastGoodDay,
  reason,
  wouldHaveGoneOn,
  note,
  recalled,
}: HalfOutcome): string {
  const best = recalled?.best && `best about it: ${labelOf(recalled.best)}`;
  const worst = recalled?.worst && `worst: ${labelOf(recalled.worst)}`;
  const night = recalled?.night && `at night mostly ${nightCares[recalled.night].label.toLowerCase()}`;
  return [
    `${HALF_WORDS[half]}last good day: day ${lastGoodDay}.`,
    `${endReasons[reason].label}${wouldHaveGoneOn === null ? '' : wouldHaveGoneOn ? ', still good for another day' : ', not good for another day'}.`,
    recalled &&
      sentence(
        `told afterwards from memory${[best, worst, night]
          .filter(Boolean)
          .map((own) => `; ${own}`)
          .join('')}`,
      ),
    note,
  ]
    .filter(Boolean)
    .map((words, i) => (i === 0 ? capitalised(String(words)) : words))
    .join(' ');
}

const labelOf = (scale: RatingId) => ratingScales.find(({ id }) => id === scale)!.label.toLowerCase();

/** How a style ended, to be corrected or taken back. */
export function GivenUp({
  setId,
  outcome,
  halves,
  onCorrect,
}: {
  setId: string;
  outcome: HalfOutcome | null;
  /** Ends of the halves of a trial. */
  halves: readonly HalfOutcome[];
  /** Opens the form that corrects it. */
  onCorrect?: () => void;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const [done, setDone] = useState<Done | null>(null);
  const ends = halves.length > 0 ? halves : outcome ? [outcome] : [];
  const takeBack = () =>
    run(
      () => takeBackGivingUp({ setId }),
      ({ outcomes }) => {
        setDone({
          words: 'Taken back: it is worn on.',
          undo: () =>
            void run(
              () => putGivingUpBack({ setId, outcomes }),
              () => {
                setDone(null);
                router.refresh();
              },
            ),
        });
        router.refresh();
      },
    );
  return (
    <div>
      {ends.map((end) => (
        <p key={end.half}>{endWords(end)}</p>
      ))}
      {ends.length > 0 && (
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
