'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { MINUTE_MS } from '@/core/units/time';
import { dateInZone } from '../format';
import { useNow } from '../hooks/use-now';

/** Asks for a page anew once its day is over: what is asked for tonight is not put down for yesterday. */
export function FreshAtMidnight({
  servedMs,
  timeZone,
}: {
  readonly servedMs: number;
  readonly timeZone: string;
}) {
  const router = useRouter();
  const nowMs = useNow(servedMs, MINUTE_MS);
  const asked = useRef(dateInZone(servedMs, timeZone));
  const date = dateInZone(nowMs, timeZone);
  useEffect(() => {
    if (date === asked.current) return;
    asked.current = date;
    router.refresh();
  }, [router, date]);
  return null;
}
