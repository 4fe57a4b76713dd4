'use client';
import { useCallback, useEffect, useState } from 'react';
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form';
import { dropUnsaved, readUnsaved, writeUnsaved } from './unsaved-store';
import { useLeaveQuestion } from './use-leave-question';

/**
 * What is typed into a form, until it is kept: it comes back after Back, a link, a reload or a crash of the page, and
 * closing the tab asks first.
 *
 * @param name what is typed, such as "give-up.<set>": another name is another form
 */
export function useUnsavedForm<T extends FieldValues>(name: string, form: UseFormReturn<T>) {
  const [isBack, setBack] = useState(false);
  const [isDirty, setDirty] = useState(false);
  useLeaveQuestion(isDirty);

  useEffect(() => {
    const kept = readUnsaved<T>(name);
    const timer = kept
      ? setTimeout(() => {
          for (const [field, value] of Object.entries(kept))
            form.setValue(field as Path<T>, value as PathValue<T, Path<T>>, { shouldDirty: true });
          setBack(true);
          setDirty(true);
        }, 0)
      : undefined;
    const stop = form.subscribe({
      formState: { values: true, isDirty: true },
      callback: ({ values, isDirty: changed }) => {
        if (!changed) return;
        setDirty(true);
        writeUnsaved(name, values);
      },
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [name, form]);

  const forget = useCallback(() => {
    dropUnsaved(name);
    setDirty(false);
    setBack(false);
  }, [name]);
  /** Back to the form as it was opened. */
  const drop = useCallback(() => {
    forget();
    form.reset();
  }, [forget, form]);
  return { isBack, forget, drop };
}
