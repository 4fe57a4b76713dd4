'use client';
import { ERRORS } from '@/server/errors';
import { EmptyState } from '@/ui/feedback/empty-state';

/** What is said of a failure that has words of its own, by its code. */
const WORDS: Readonly<Record<string, readonly [title: string, text: string]>> = {
  unreadable: ['This cannot be read any more', `${ERRORS.unreadable.title}: see Studio.`],
  closing: ['Back in a moment', `${ERRORS.closing.title}.`],
};
const OTHERWISE = [
  'Something went wrong on our side',
  'What you saved is safe. Try again; if it goes on, go back to Today.',
] as const;

export default function Failure({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const [title, text] = WORDS[error.digest ?? ''] ?? OTHERWISE;
  return (
    <EmptyState
      title={title}
      text={text}
      action={
        <button type="button" onClick={reset}>
          Try again
        </button>
      }
    />
  );
}
