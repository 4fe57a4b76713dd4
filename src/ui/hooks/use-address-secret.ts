'use client';
import { useEffect } from 'react';

/**
 * Takes a secret out of the address that a page was opened with, so that it stands in no history: whoever takes this phone later finds
 * none. Only what follows a `#` stays in the browser.
 *
 * @param take is given it once; it must stay the same
 */
export function useAddressSecret(take: (secret: string) => void): void {
  useEffect(() => {
    // After the router's own effects: before them it would keep the address as it was, and write it into the history later.
    const timer = setTimeout(() => {
      const secret = location.hash.slice(1);
      if (secret === '') return;
      history.replaceState(null, '', location.pathname);
      take(secret);
    });
    return () => clearTimeout(timer);
  }, [take]);
}
