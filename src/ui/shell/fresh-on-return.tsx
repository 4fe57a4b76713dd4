'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/**
 * After Back or Forward the router shows a page as it was when it was left. It is asked for anew, so that a plan that
 * was begun, or a set that was taken down, is not shown as before.
 */
export function FreshOnReturn() {
  const router = useRouter();
  useEffect(() => {
    const refresh = () => setTimeout(() => router.refresh(), 0);
    const shown = (event: PageTransitionEvent) => {
      if (event.persisted) refresh();
    };
    window.addEventListener('popstate', refresh);
    window.addEventListener('pageshow', shown);
    return () => {
      window.removeEventListener('popstate', refresh);
      window.removeEventListener('pageshow', shown);
    };
  }, [router]);
  return null;
}
