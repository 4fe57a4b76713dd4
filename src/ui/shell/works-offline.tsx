'use client';
import { useEffect } from 'react';

/** Lets this device keep the chair for when the server is away. A browser that cannot goes on without. */
export function WorksOffline() {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => undefined);
  }, []);
  return null;
}
