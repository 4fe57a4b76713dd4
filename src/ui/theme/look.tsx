import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { ThemeRoot } from './theme-root';

/** The look of fields and dialogs, for every page but the chair, which stands without it. */
export async function Look({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <AppRouterCacheProvider options={{ key: 'mui', ...(nonce ? { nonce } : {}) }}>
      <ThemeRoot>{children}</ThemeRoot>
    </AppRouterCacheProvider>
  );
}
