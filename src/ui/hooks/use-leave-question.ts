'use client';
import { useEffect } from 'react';

/** Closing or reloading the page asks first while something is not kept. */
export function useLeaveQuestion(isDirty: boolean): void {
  useEffect(() => {
    if (!isDirty) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isDirty]);
}
