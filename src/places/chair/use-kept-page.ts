'use client';
import { useEffect } from 'react';
import { fetchLater } from './later-views';

/** Files of the program that this page has asked for so far. */
const ownFiles = () =>
  performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.startsWith(`${location.origin}/_next/static/`));

/** What is not needed to stand is fetched so long after, ms. */
const FETCH_AFTER_MS = 500;

/**
 * Fetches what the chair needs later, then has this page and all its files kept on the device, so that it opens without
 * the server, also after the browser was closed.
 */
export function useKeptPage(): void {
  useEffect(() => {
    let isGone = false;
    const keep = async () => {
      await fetchLater();
      if (!('serviceWorker' in navigator)) return;
      const { active } = await navigator.serviceWorker.ready;
      if (!isGone) active?.postMessage({ keep: location.pathname, files: ownFiles() });
    };
    const timer = setTimeout(() => void keep(), FETCH_AFTER_MS);
    return () => {
      isGone = true;
      clearTimeout(timer);
    };
  }, []);
}
