import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { LookRoot } from './look-root';

/** The look of fields and dialogs, for every page but the chair, which stands without it. */
export async function Look({ children }: { children: ReactNode }) {
  return <LookRoot nonce={(await headers()).get('x-nonce') ?? undefined}>{children}</LookRoot>;
}
