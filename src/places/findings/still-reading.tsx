'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { plural } from '@/core/words/words';

const LOOK_AGAIN_MS = 1500;

/** Says that newer findings are on their way, and brings them. */
export function StillReading({ waiting, isOlder }: { readonly waiting: number; readonly isOlder: boolean }) {
  const router = useRouter();
  const isComing = isOlder || waiting > 0;
  useEffect(() => {
    if (!isComing) return;
    const timer = setInterval(() => router.refresh(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [isComing, router]);
  return (
    <p role="status">
      {waiting > 0
        ? `${plural(waiting, 'more set')} still being read; what they say comes by itself.`
        : isOlder && 'The log has changed since: what it says now comes by itself.'}
    </p>
  );
}
