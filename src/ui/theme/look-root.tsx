'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { ReactNode } from 'react';
import { nonceHere } from './nonce-here';
import { ThemeRoot } from './theme-root';

/**
 * Styles and theme of a page, whether it was loaded or come to from the chair.
 *
 * @param nonce of the answer that the page came with: on the server the one of the document
 */
export function LookRoot({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  const own = typeof document === 'undefined' ? nonce : nonceHere();
  return (
    <AppRouterCacheProvider options={{ key: 'mui', ...(own ? { nonce: own } : {}) }}>
      <ThemeRoot>{children}</ThemeRoot>
    </AppRouterCacheProvider>
  );
}
