'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useAction } from '@/ui/hooks/use-action';
import { newPlan } from './actions';

/** Starts a plan for a head and goes there. */
export function NewPlanButton({
  headId,
  label,
  variant = 'contained',
}: {
  headId: string;
  label: string;
  variant?: 'contained' | 'outlined';
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Button
        variant={variant}
        onClick={() =>
          run(
            () => newPlan({ headId }),
            ({ id }) => router.push(`/plan/${id}`),
          )
        }
        disabled={isBusy}
      >
        {label}
      </Button>
      {problem}
    </>
  );
}
