'use client';
import { useCallback } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { useAddressSecret } from '@/ui/hooks/use-address-secret';
import { openLink } from './actions';

/** Has the browser keep the secret of a link for this page, and opens the page with it. */
export function OpenHere({ id }: { id: string }) {
  const { run, problem } = useAction();
  useAddressSecret(
    useCallback(
      (token) =>
        void run(
          () => openLink({ id, token }),
          () => location.reload(),
        ),
      [id, run],
    ),
  );
  return problem ?? <p>This page opens with the link that the studio gave you.</p>;
}
