'use client';
import Alert from '@mui/material/Alert';
import { useCallback, useRef, useState, type ReactNode } from 'react';
import type { FieldError } from '@/core/formats/field-error';
import { sentence } from '@/core/words/words';

/** What an action of the server answers. */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly code: string; readonly errors: readonly FieldError[] };

const OFFLINE: readonly FieldError[] = [
  { path: '', message: 'No connection. Nothing you entered is lost; try again' },
];

/** What a field shows that is wrong, or a hint where nothing is. */
export const errorAt = (errors: readonly FieldError[], path: string, hint?: string) => {
  const error = errors.find((one) => one.path === path);
  return { error: error !== undefined, helperText: error ? sentence(error.message) : hint };
};

const alertOf = (errors: readonly FieldError[]): ReactNode =>
  errors.length > 0 ? (
    <Alert severity="warning">
      {errors.map(({ path, message }) => (
        <div key={`${path}/${message}`}>{sentence(message)}</div>
      ))}
    </Alert>
  ) : null;

/**
 * Runs an action of the server. While it is on its way a second press does nothing; whatever happens to the connection,
 * the button comes back. It answers what the server did, or null where nothing was heard of it.
 */
export function useAction() {
  const [isBusy, setBusy] = useState(false);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const isRunning = useRef(false);

  const run = useCallback(async <T,>(act: () => Promise<Answer<T>>, then?: (value: T) => void) => {
    if (isRunning.current) return null;
    isRunning.current = true;
    setBusy(true);
    setErrors([]);
    try {
      const answer = await act();
      if (answer.ok) then?.(answer.value);
      else setErrors(answer.errors);
      return answer;
    } catch {
      setErrors(OFFLINE);
      return null;
    } finally {
      isRunning.current = false;
      setBusy(false);
    }
  }, []);

  const problem = alertOf(errors);
  /** The same without what stands beside its field already. */
  const problemBut = (...paths: readonly string[]) =>
    alertOf(errors.filter(({ path }) => !paths.includes(path)));
  return { run, isBusy, errors, problem, problemBut };
}
