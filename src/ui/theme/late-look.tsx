'use client';
import createCache, { type EmotionCache } from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { use, type ReactNode } from 'react';
import { HasLook } from './has-look';
import { nonceHere } from './nonce-here';
import { ThemeRoot } from './theme-root';

/** One for the document: styles are put in once, however many dialogs are opened. */
let cache: EmotionCache | null = null;
const cacheHere = (): EmotionCache => {
  const nonce = nonceHere();
  return (cache ??= createCache({ key: 'mui', ...(nonce ? { nonce } : {}) }));
};

/** The look of fields and dialogs that open over a page without it: in the browser only. */
export function LateLook({ children }: { children: ReactNode }) {
  if (use(HasLook)) return children;
  return (
    <CacheProvider value={cacheHere()}>
      <ThemeRoot>{children}</ThemeRoot>
    </CacheProvider>
  );
}
