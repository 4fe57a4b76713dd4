'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useAction } from '@/ui/hooks/use-action';
import { putAside } from './actions';

/** Puts a plan aside, or takes it back. */
export function PutAsideButton({ id, isAside, title }: { id: string; isAside: boolean; title: string }) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Button
        size="small"
        disabled={isBusy}
        aria-label={isAside ? `Take ${title} back` : `Put ${title} aside`}
        onClick={() =>
          run(
            () => putAside({ id, isAside: !isAside }),
            () => router.refresh(),
          )
        }
      >
        {isAside ? 'Take it back' : 'Put aside'}
      </Button>
      {problem}
    </>
  );
}
