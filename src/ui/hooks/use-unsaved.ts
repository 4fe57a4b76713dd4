'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { dropUnsaved, readUnsaved, writeUnsaved } from './unsaved-store';
import { useLeaveQuestion } from './use-leave-question';

/**
 * What is typed into a form, until it is kept: it comes back after Back, a link, a reload or a crash of the page, and
 * closing the tab asks first.
 *
 * @param name what is typed, such as "give-up.<set>": another name is another form
 * @param start the form as it is opened; changing it later does not change what is typed
 */
export function useUnsaved<T extends object>(name: string, start: T) {
  const [value, setValue] = useState(start);
  const [isBack, setBack] = useState(false);
  const [isDirty, setDirty] = useState(false);
  const first = useRef(start);
  const current = useRef(start);
  useLeaveQuestion(isDirty);

  useEffect(() => {
    const kept = readUnsaved<T>(name);
    if (!kept) return;
    // After the first picture, which must agree with the server's.
    const timer = setTimeout(() => {
      current.current = { ...first.current, ...kept };
      setValue(current.current);
      setBack(true);
      setDirty(true);
    }, 0);
    return () => clearTimeout(timer);
  }, [name]);

  const change = useCallback(
    (part: Partial<T>) => {
      current.current = { ...current.current, ...part };
      setValue(current.current);
      setDirty(true);
      writeUnsaved(name, current.current);
    },
    [name],
  );

  /** What was typed is kept elsewhere or not wanted any more; the form is as `next`, or as it was opened. */
  const forget = useCallback(
    (next?: T) => {
      dropUnsaved(name);
      current.current = next ?? first.current;
      first.current = current.current;
      setValue(current.current);
      setDirty(false);
      setBack(false);
    },
    [name],
  );

  return { value, change, forget, isBack, isDirty };
}
