import Link from 'next/link';
import { EmptyState } from '@/ui/feedback/empty-state';

export default function NotFound() {
  return (
    <EmptyState
      title="This is not here"
      text="It may have been removed, or the address has a slip in it. Nothing else is affected."
      action={<Link href="/">Go to Today</Link>}
    />
  );
}
