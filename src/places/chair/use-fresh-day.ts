'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';

/**
 * Asks for the page anew once the set is in, or is not after all: its day is laid out from there. Only when everything
 * tapped has reached the server, so that nobody is asked who is away.
 */
export function useFreshDay(served: number | null, installedAtMs: number | null, isKept: boolean): void {
  const router = useRouter();
  const asked = useRef(served);
  useEffect(() => {
    if (!isKept || installedAtMs === served || installedAtMs === asked.current) return;
    asked.current = installedAtMs;
    router.refresh();
  }, [router, served, installedAtMs, isKept]);
}
