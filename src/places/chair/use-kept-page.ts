'use client';
import { useEffect } from 'react';

/** Files of the program that this page has asked for so far. */
const ownFiles = () =>
  performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.startsWith(`${location.origin}/_next/static/`));

/** Has this page and its files kept on the device, so that it opens without the server, also after the browser was closed. */
export function useKeptPage(): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    let isGone = false;
    void navigator.serviceWorker.ready.then(({ active }) => {
      if (!isGone) active?.postMessage({ keep: location.pathname, files: ownFiles() });
    });
    return () => {
      isGone = true;
    };
  }, []);
}
