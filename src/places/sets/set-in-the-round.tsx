'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { roundTones } from '@/ui/round/round-tones';
import type { ShownHead } from '@/ui/round/round-stage';
import { setInTheRound } from './actions';

const RoundDialog = dynamic(() => import('@/ui/round/round-dialog').then((module) => module.RoundDialog), {
  ssr: false,
});

/** A set in the round, as it came out. */
export function SetInTheRound({ setId, label = 'In the round' }: { setId: string; label?: string }) {
  const { run, isBusy, problem } = useAction();
  const [head, setHead] = useState<ShownHead | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        disabled={isBusy}
        onClick={() =>
          run(
            () => setInTheRound({ setId }),
            ({ brief, cameOut, skinTone, hairTone }) =>
              setHead({
                title: null,
                brief,
                cameOut,
                tones: roundTones(skinTone, hairTone, brief.head.conditions ?? []),
              }),
          )
        }
      >
        {label}
      </Button>
      {problem}
      {head && <RoundDialog heads={[head]} onClose={() => setHead(null)} />}
    </>
  );
}
