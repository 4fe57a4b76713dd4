'use client';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import type { FieldError } from '@/core/formats/field-error';
import { readPlan, savePlan } from './actions';
import { dropDraftCopy, readDraftCopy, sendOnLeaving, writeDraftCopy } from './draft-copy';
import { draftReducer, startDraft } from './draft-reducer';
import type { PlanContent } from '@/core/draft/draft-brief';

const SAVE_AFTER_MS = 600;
const RETRY_AFTER_MS = 4000;

export type KeptState = 'kept' | 'keeping' | 'offline' | 'refused';

/** A draft as it is sent. */
const wire = (id: string, revision: number, { title, brief, layerProductIds }: PlanContent) => ({
  id,
  revision,
  title,
  brief,
  layerProductIds: [...layerProductIds],
});

/** A draft that keeps itself: undo, autosave, and a clear choice when another tab saved first. */
export function useDraft(id: string, content: PlanContent, revision: number) {
  const [state, dispatch] = useReducer(draftReducer, null, () => startDraft(content, revision));
  const [kept, setKept] = useState<KeptState>('kept');
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [attempt, setAttempt] = useState(0);
  const inFlight = useRef<Promise<void>>(Promise.resolve());
  const latest = useRef(state);
  /** What was sent when the page was left. */
  const sent = useRef<PlanContent | null>(null);
  useEffect(() => {
    latest.current = state;
  }, [state]);

  const keep = useCallback(() => {
    inFlight.current = inFlight.current.then(async () => {
      const { present, saved, conflict, revision: from } = latest.current;
      if (present === saved || conflict) return;
      setKept('keeping');
      try {
        const answer = await savePlan(wire(id, from, present));
        if (answer.ok) {
          const action = { type: 'kept', content: present, revision: answer.value.revision } as const;
          latest.current = draftReducer(latest.current, action);
          dispatch(action);
          setErrors([]);
          setKept('kept');
          if (latest.current.present === present) dropDraftCopy(id);
        } else if (answer.code === 'conflict') {
          // What was sent when the page was left, and came back from the browser's memory, is no other tab's: the
          // server takes the same words again without a conflict.
          const away = sent.current;
          const again = away && (await savePlan(wire(id, from, away)));
          const isOwn = again?.ok === true;
          const action = isOwn
            ? ({ type: 'kept', content: away!, revision: again.value.revision } as const)
            : ({ type: 'conflicted' } as const);
          latest.current = draftReducer(latest.current, action);
          dispatch(action);
          if (isOwn) setAttempt((n) => n + 1);
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

  // After Back a page is first shown as it was left, then as the server has it.
  useEffect(() => {
    dispatch({ type: 'renewed', content, revision });
    // The content belongs to the revision: a new one comes with a new revision only.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [revision]);

  // A change that the server did not get, from before a reload, a crash or a closed tab.
  useEffect(() => {
    const copy = readDraftCopy(id);
    if (!copy) return;
    let isOver = false;
    const takeUp = async () => {
      // It may have arrived after all, with the page that was left.
      const arrived =
        copy.revision === latest.current.revision
          ? null
          : await savePlan(wire(id, copy.revision, copy.content)).catch(() => null);
      if (isOver) return;
      if (arrived?.ok) return dropDraftCopy(id);
      dispatch({ type: 'edited', content: copy.content });
      if (arrived) dispatch({ type: 'conflicted' });
    };
    void takeUp();
    return () => {
      isOver = true;
    };
  }, [id]);

  useEffect(() => {
    if (state.present === state.saved) dropDraftCopy(id);
    else writeDraftCopy(id, { revision: state.revision, content: state.present });
  }, [id, state]);

  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') void keep();
    };
    const leave = () => {
      const { present, saved, conflict, revision: from } = latest.current;
      if (present === saved || conflict) return;
      sent.current = present;
      sendOnLeaving(id, { revision: from, content: present });
    };
    document.addEventListener('visibilitychange', hidden);
    window.addEventListener('pagehide', leave);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      window.removeEventListener('pagehide', leave);
      // Leaving by a link inside the app: the page goes, the program stays.
      leave();
    };
  }, [id, keep]);

  const resolveConflict = useCallback(
    async (choice: 'mine' | 'theirs') => {
      const other = await readPlan({ id }).catch(() => null);
      if (!other?.ok) return;
      if (choice === 'mine') dispatch({ type: 'kept-mine', revision: other.value.revision });
      else {
        dropDraftCopy(id);
        dispatch({ type: 'took-theirs', ...other.value });
      }
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

export type Draft = ReturnType<typeof useDraft>;
