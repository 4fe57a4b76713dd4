'use client';
import Button from '@mui/material/Button';
import { EmptyState } from '@/ui/feedback/empty-state';

export default function Failure({ reset }: { reset: () => void }) {
  return (
    <EmptyState
      title="Something went wrong on our side"
      text="What you saved is safe. Try again; if it goes on, go back to Today."
      action={
        <Button variant="contained" onClick={reset}>
          Try again
        </Button>
      }
    />
  );
}
