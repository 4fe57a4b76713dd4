import { Page } from '@/ui/shell/page';

export default function Loading() {
  return (
    <Page title="Compare drafts">
      <p role="status">Working the drafts out…</p>
    </Page>
  );
}
