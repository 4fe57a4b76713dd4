'use client';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import type { FieldError } from '@/core/formats/field-error';
import { readPlan, savePlan } from './actions';
import { draftReducer, startDraft } from './draft-reducer';
import type { PlanContent } from './plan-content';

const SAVE_AFTER_MS = 600;
const RETRY_AFTER_MS = 4000;

export type KeptState = 'kept' | 'keeping' | 'offline' | 'refused';

/** A draft that keeps itself: undo, autosave, and a clear choice when another tab saved first. */
export function useDraft(id: string, content: PlanContent, revision: number) {
  const [state, dispatch] = useReducer(draftReducer, null, () => startDraft(content, revision));
  const [kept, setKept] = useState<KeptState>('kept');
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [attempt, setAttempt] = useState(0);
  const inFlight = useRef<Promise<void>>(Promise.resolve());
  const latest = useRef(state);
  useEffect(() => {
    latest.current = state;
  }, [state]);

  const keep = useCallback(() => {
    inFlight.current = inFlight.current.then(async () => {
      const { present, saved, conflict, revision: from } = latest.current;
      if (present === saved || conflict) return;
      setKept('keeping');
      try {
        const { title, brief, layerProductIds } = present;
        const answer = await savePlan({
          id,
          revision: from,
          title,
          brief,
          layerProductIds: [...layerProductIds],
        });
        if (answer.ok) {
          const action = { type: 'kept', content: present, revision: answer.value.revision } as const;
          latest.current = draftReducer(latest.current, action);
          dispatch(action);
          setErrors([]);
          setKept('kept');
        } else if (answer.code === 'conflict') {
          latest.current = draftReducer(latest.current, { type: 'conflicted' });
          dispatch({ type: 'conflicted' });
        } else {
          setErrors(answer.errors);
          setKept('refused');
        }
      } catch {
        setKept('offline');
        setTimeout(() => setAttempt((n) => n + 1), RETRY_AFTER_MS);
      }
    });
    return inFlight.current;
  }, [id]);

  useEffect(() => {
    if (state.present === state.saved || state.conflict) return;
    const timer = setTimeout(() => void keep(), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [state.present, state.saved, state.conflict, attempt, keep]);

  const resolveConflict = useCallback(
    async (choice: 'mine' | 'theirs') => {
      const other = await readPlan({ id });
      if (!other.ok) return;
      if (choice === 'mine') dispatch({ type: 'kept-mine', revision: other.value.revision });
      else dispatch({ type: 'took-theirs', ...other.value });
      setKept('kept');
    },
    [id],
  );

  return {
    content: state.present,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    conflict: state.conflict,
    kept: state.present === state.saved ? kept : kept === 'kept' ? ('keeping' as const) : kept,
    errors,
    edit: useCallback((next: PlanContent) => dispatch({ type: 'edited', content: next }), []),
    undo: useCallback(() => dispatch({ type: 'undone' }), []),
    redo: useCallback(() => dispatch({ type: 'redone' }), []),
    keep,
    resolveConflict,
  };
}
