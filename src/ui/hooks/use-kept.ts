'use client';
import { useRef, useState } from 'react';
import { useAction, type Answer } from './use-action';

/** Without a connection it is tried again after this. */
const AGAIN_MS = 4000;

/**
 * Keeps something as it is changed, one save after the other: what changes while a save is on its way is saved after it,
 * over the revision that it made; what finds no connection is saved once there is one.
 *
 * @param save answers the revision that it made
 * @param then is told once all is saved
 */
export function useKept<S extends { readonly revision: number }>(
  first: S,
  save: (state: S) => Promise<Answer<{ readonly revision: number }>>,
  then?: () => void,
) {
  const [kept, setKept] = useState(first);
  const newest = useRef(first);
  const isWaiting = useRef(false);
  const isSaving = useRef(false);
  const { run, problem } = useAction();
  const set = (state: S) => {
    newest.current = state;
    setKept(state);
  };
  const saveAll = async () => {
    if (isSaving.current) return;
    isSaving.current = true;
    while (isWaiting.current) {
      isWaiting.current = false;
      const answer = await run(
        () => save(newest.current),
        ({ revision }) => set({ ...newest.current, revision }),
      );
      if (answer === null) {
        isSaving.current = false;
        setTimeout(() => {
          isWaiting.current = true;
          void saveAll();
        }, AGAIN_MS);
        return;
      }
    }
    isSaving.current = false;
    then?.();
  };
  /** @param change of the newest, which the page may not show yet */
  const keep = (change: (now: S) => Partial<S>) => {
    set({ ...newest.current, ...change(newest.current) });
    isWaiting.current = true;
    void saveAll();
  };
  return { kept, keep, problem };
}
