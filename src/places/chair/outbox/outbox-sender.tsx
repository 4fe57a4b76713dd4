'use client';
import { useEffect } from 'react';
import { exchangeCount } from '@/ui/hooks/server-clock';
import { askClock, thisDevice } from './this-device';

/** On every page: sends what a chair left unsent, and learns how wrong the clock of this device is. */
export function OutboxSender() {
  useEffect(() => {
    const flush = () => void thisDevice().flush();
    if (exchangeCount() === 0) askClock().catch(() => undefined);
    flush();
    window.addEventListener('online', flush);
    return () => window.removeEventListener('online', flush);
  }, []);
  return null;
}
