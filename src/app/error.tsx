'use client';
import { ERRORS } from '@/server/errors';
import { EmptyState } from '@/ui/feedback/empty-state';

export default function Failure({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const isUnreadable = error.digest === 'unreadable';
  return (
    <EmptyState
      title={isUnreadable ? 'This cannot be read any more' : 'Something went wrong on our side'}
      text={
        isUnreadable
          ? `${ERRORS.unreadable.title}: see Studio.`
          : 'What you saved is safe. Try again; if it goes on, go back to Today.'
      }
      action={
        <button type="button" onClick={reset}>
          Try again
        </button>
      }
    />
  );
}
