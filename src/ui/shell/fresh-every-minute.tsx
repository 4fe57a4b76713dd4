'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { MINUTE_MS } from '@/core/units/time';

/** Asks for a page anew every minute while it is looked at: its figures go with the clock. */
export function FreshEveryMinute() {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => {
      // Without the server the page stays as it is.
      if (document.visibilityState === 'visible' && navigator.onLine) router.refresh();
    }, MINUTE_MS);
    return () => clearInterval(timer);
  }, [router]);
  return null;
}
