import type { Metadata } from 'next';
import Link from '@/ui/shell/link';
import { EmptyState } from '@/ui/feedback/empty-state';

export const metadata: Metadata = { title: 'Not here' };

export default function NotFound() {
  return (
    <main>
      <EmptyState
        title="This is not here"
        text="It may have been removed, or the address has a slip in it. Nothing else is affected."
        action={
          <>
            <Link href="/">Go to Today</Link> or <Link href="/sets">look among the sets</Link>
          </>
        }
      />
    </main>
  );
}
