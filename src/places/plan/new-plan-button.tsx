'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
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
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const start = async () => {
    setBusy(true);
    const answer = await newPlan({ headId });
    if (answer.ok) return router.push(`/plan/${answer.value.id}`);
    setProblem(answer.errors[0]?.message ?? null);
    setBusy(false);
  };
  return (
    <>
      <Button variant={variant} onClick={start} disabled={busy}>
        {label}
      </Button>
      {problem && <Alert severity="warning">{problem}</Alert>}
    </>
  );
}
