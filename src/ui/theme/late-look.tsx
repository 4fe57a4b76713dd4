'use client';
import createCache, { type EmotionCache } from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { use, type ReactNode } from 'react';
import { HasLook, Nonce } from './has-look';
import { ThemeRoot } from './theme-root';

/** One for the page: styles are put in once, however many dialogs are opened. */
let cache: EmotionCache | null = null;
const cacheFor = (nonce: string | undefined): EmotionCache =>
  (cache ??= createCache({ key: 'mui', ...(nonce ? { nonce } : {}) }));

/** The look of fields and dialogs that open over a page without it. */
export function LateLook({ children }: { children: ReactNode }) {
  const nonce = use(Nonce);
  if (use(HasLook)) return children;
  return (
    <CacheProvider value={cacheFor(nonce)}>
      <ThemeRoot>{children}</ThemeRoot>
    </CacheProvider>
  );
}
