'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import type { FieldError } from '@/core/formats/field-error';
import { readPlan, savePlan } from './actions';
import {
  dropDraftCopy,
  readDraftCopy,
  rememberKept,
  sendOnLeaving,
  wasKeptLater,
  writeDraftCopy,
} from './draft-copy';
import { draftReducer, startDraft } from './draft-reducer';
import type { PlanContent } from '@/core/draft/draft-brief';

const SAVE_AFTER_MS = 600;
const RETRY_AFTER_MS = 4000;
/** So many sendings without an answer are remembered. */
const MOST_SENT = 3;

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
  const router = useRouter();
  const [state, dispatch] = useReducer(draftReducer, null, () => startDraft(content, revision));
  const [kept, setKept] = useState<KeptState>('kept');
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [attempt, setAttempt] = useState(0);
  const inFlight = useRef<Promise<void>>(Promise.resolve());
  const latest = useRef(state);
  /** What was sent over the latest revision without an answer so far, newest first. */
  const sent = useRef<readonly PlanContent[]>([]);
  /** The copy of this device is being looked at: it stays until that is over. */
  const isTakingUp = useRef(false);
  useEffect(() => {
    latest.current = state;
  }, [state]);

  const copy = useCallback(() => {
    const { present, revision: from } = latest.current;
    writeDraftCopy(id, { revision: from, content: present, sent: sent.current });
  }, [id]);

  const isSent = useCallback(
    (words: PlanContent) => {
      sent.current = [words, ...sent.current.filter((own) => own !== words)].slice(0, MOST_SENT);
      copy();
    },
    [copy],
  );

  /**
   * What the server has over a revision, if this device sent it: the answer was lost, the page was left before it came,
   * or the browser showed the page again from its memory. The same words again are no conflict there.
   */
  const arrived = useCallback(
    async (from: number) => {
      for (const words of sent.current) {
        const answer = await savePlan(wire(id, from, words));
        if (answer.ok) return { content: words, revision: answer.value.revision };
      }
      return null;
    },
    [id],
  );

  const keep = useCallback(() => {
    inFlight.current = inFlight.current.then(async () => {
      const { present, saved, conflict, revision: from } = latest.current;
      if (present === saved || conflict) return;
      setKept('keeping');
      try {
        const before = sent.current;
        isSent(present);
        const answer = await savePlan(wire(id, from, present));
        if (answer.ok) {
          sent.current = [];
          rememberKept(id, answer.value.revision);
          const action = { type: 'kept', content: present, revision: answer.value.revision } as const;
          latest.current = draftReducer(latest.current, action);
          dispatch(action);
          setErrors([]);
          setKept('kept');
          if (latest.current.present === present) dropDraftCopy(id);
        } else if (answer.code === 'conflict') {
          sent.current = before;
          const own = await arrived(from);
          sent.current = [];
          const action = own ? ({ type: 'kept', ...own } as const) : ({ type: 'conflicted' } as const);
          latest.current = draftReducer(latest.current, action);
          dispatch(action);
          if (own) setAttempt((n) => n + 1);
        } else {
          sent.current = before;
          setErrors(answer.errors);
          setKept('refused');
        }
      } catch {
        setKept('offline');
        setTimeout(() => setAttempt((n) => n + 1), RETRY_AFTER_MS);
      }
    });
    return inFlight.current;
  }, [id, isSent, arrived]);

  useEffect(() => {
    if (state.present === state.saved || state.conflict) return;
    const timer = setTimeout(() => void keep(), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [state.present, state.saved, state.conflict, attempt, keep]);

  // After Back a page is first shown as it was left, then as the server has it.
  useEffect(() => {
    dispatch({ type: 'renewed', content, revision });
    if (wasKeptLater(id, revision)) router.refresh();
    // The content belongs to the revision: a new one comes with a new revision only.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [revision]);

  // A change that the server did not get, from before a reload, a crash or a closed tab.
  useEffect(() => {
    const before = readDraftCopy(id);
    if (!before) return;
    let isOver = false;
    const isOlder = before.revision !== latest.current.revision;
    // The page may be the older of the two as well: what is in the copy then only has to be sent.
    sent.current = isOlder ? [before.content, ...before.sent] : before.sent;
    isTakingUp.current = true;
    const takeUp = async () => {
      // Nobody to ask is as good as another tab: nothing of it is overwritten unasked.
      const own = isOlder ? await arrived(before.revision).catch(() => null) : null;
      if (isOver) return;
      isTakingUp.current = false;
      if (isOlder) sent.current = [];
      if (own) dispatch({ type: 'renewed', ...own });
      if (own?.content === before.content) dropDraftCopy(id);
      else dispatch({ type: 'edited', content: before.content });
      if (isOlder && !own) dispatch({ type: 'conflicted' });
    };
    void takeUp();
    return () => {
      isOver = true;
    };
  }, [id, arrived]);

  useEffect(() => {
    if (state.present !== state.saved) copy();
    else if (!isTakingUp.current) dropDraftCopy(id);
  }, [id, state, copy]);

  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') void keep();
    };
    const leave = () => {
      const { present, saved, conflict, revision: from } = latest.current;
      if (present === saved || conflict) return;
      isSent(present);
      sendOnLeaving(id, from, present);
    };
    document.addEventListener('visibilitychange', hidden);
    window.addEventListener('pagehide', leave);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      window.removeEventListener('pagehide', leave);
      // Leaving by a link inside the app: the page goes, the program stays.
      leave();
    };
  }, [id, keep, isSent]);

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
