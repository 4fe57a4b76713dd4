import Link from '@/ui/shell/link';
import { EmptyState } from '@/ui/feedback/empty-state';

/** A page that whoever signed in may not see. */
export default function Forbidden() {
  return (
    <EmptyState
      title="This is not yours to see"
      text="Whoever signed in here, or this device, may do less than this page shows. The owner can change that in Studio."
      action={<Link href="/chair">The chair</Link>}
    />
  );
}
