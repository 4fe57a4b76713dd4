import { seenStore } from './seen-store';

/**
 * Has this device forget what it keeps of the chair to look at: pages, and what was heard of sets. Taps that wait are
 * nobody's to throw away, and stay.
 */
export async function forgetChairs(): Promise<void> {
  navigator.serviceWorker?.controller?.postMessage({ forget: true });
  await seenStore.forget();
}
