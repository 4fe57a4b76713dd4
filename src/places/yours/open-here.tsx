'use client';
import { useEffect } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { openLink } from './actions';

/** Takes the secret out of the address of a link, has the browser keep it for this page, and opens the page with it. */
export function OpenHere({ id }: { id: string }) {
  const { run, problem } = useAction();
  useEffect(() => {
    const token = location.hash.slice(1);
    if (token === '') return;
    history.replaceState(null, '', location.pathname);
    void run(
      () => openLink({ id, token }),
      () => location.reload(),
    );
  }, [id, run]);
  return problem ?? <p>This page opens with the link that the studio gave you.</p>;
}
