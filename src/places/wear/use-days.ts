'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { EMPTY_DAY, sameAgain, saysSomething, type DayEntry } from '@/core/diary/day-entry';
import type { Half } from '@/core/hair/half';
import type { RatingId } from '@/core/wear/rating-scales';
import { sentence } from '@/core/words/words';
import { dropUnsaved, readUnsaved, writeUnsaved } from '@/ui/hooks/unsaved-store';
import { chairSettings } from '../chair/chair-settings';
import { readWearDay, saveWearDay } from './actions';

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 4000;

/** An entry as it is kept, with the revision that a change of it is made over. */
export interface KeptEntry {
  readonly half: Half;
  readonly revision: number;
  readonly entry: DayEntry;
}

export type KeptState = 'nothing' | 'keeping' | 'kept' | 'offline' | 'refused' | 'conflict';

interface Typed {
  readonly entry: DayEntry;
  readonly revision: number;
}

const nameOf = (setId: string, date: string, half: Half) => `wear.${setId}.${date}.${half}`;

/**
 * The entry of one day and half, which keeps itself: what is tapped is sent a moment later, waits in this tab while
 * there is no connection, and is never laid over what another tab kept meanwhile.
 */
export function useDay(setId: string, date: string, known: KeptEntry, onKept: (kept: KeptEntry) => void) {
  const { half } = known;
  const name = nameOf(setId, date, half);
  const [entry, setEntry] = useState(known.entry);
  const [kept, setKept] = useState<KeptState>(saysSomething(known.entry) ? 'kept' : 'nothing');
  const [problem, setProblem] = useState<string | null>(null);
  const [attempt, setAttempt] = useState(0);
  const latest = useRef(known.entry);
  const saved = useRef(known.entry);
  const revision = useRef(known.revision);
  const inFlight = useRef<Promise<void>>(Promise.resolve());
  const heard = useRef(onKept);
  useEffect(() => {
    heard.current = onKept;
  }, [onKept]);

  const keep = useCallback(() => {
    inFlight.current = inFlight.current.then(async () => {
      const sending = latest.current;
      if (sending === saved.current) return;
      setKept('keeping');
      try {
        const answer = await saveWearDay({
          setId,
          date,
          half,
          revision: revision.current,
          entry: sending,
          by: chairSettings().ownName || null,
        });
        if (answer.ok) {
          revision.current = answer.value.revision;
          saved.current = sending;
          setProblem(null);
          heard.current({ half, revision: revision.current, entry: sending });
          if (latest.current === sending) {
            dropUnsaved(name);
            setKept('kept');
          } else setAttempt((n) => n + 1);
        } else if (answer.code === 'conflict') setKept('conflict');
        else {
          setKept('refused');
          setProblem(answer.errors.map(({ message }) => sentence(message)).join(' '));
        }
      } catch {
        setKept('offline');
        setTimeout(() => setAttempt((n) => n + 1), RETRY_AFTER_MS);
      }
    });
    return inFlight.current;
  }, [setId, date, half, name]);

  const change = useCallback(
    (next: (before: DayEntry) => DayEntry) => {
      latest.current = next(latest.current);
      setEntry(latest.current);
      setKept((now) => (now === 'conflict' ? now : 'keeping'));
      writeUnsaved(name, { entry: latest.current, revision: revision.current } satisfies Typed);
      setAttempt((n) => n + 1);
    },
    [name],
  );

  useEffect(() => {
    if (attempt === 0) return;
    const timer = setTimeout(() => void keep(), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [attempt, keep]);

  // What was tapped and not kept, from before a reload.
  useEffect(() => {
    const typed = readUnsaved<Typed>(name);
    if (!typed?.entry) return;
    if (typed.revision === revision.current) change(() => ({ ...EMPTY_DAY, ...typed.entry }));
    else {
      latest.current = { ...EMPTY_DAY, ...typed.entry };
      setEntry(latest.current);
      setKept('conflict');
    }
  }, [name, change]);

  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') void keep();
    };
    document.addEventListener('visibilitychange', hidden);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      void keep();
    };
  }, [keep]);

  /** What another tab kept meanwhile is taken, or laid over. */
  const resolve = useCallback(
    async (choice: 'mine' | 'theirs') => {
      const answer = await readWearDay({ setId, date, half }).catch(() => null);
      if (!answer?.ok) return setProblem('No connection. Nothing you entered is lost; try again.');
      const theirs = answer.value;
      revision.current = theirs?.revision ?? 0;
      if (choice === 'mine') return change((mine) => ({ ...mine }));
      dropUnsaved(name);
      latest.current = theirs ?? EMPTY_DAY;
      saved.current = latest.current;
      setEntry(latest.current);
      setKept('kept');
      heard.current({ half, revision: revision.current, entry: latest.current });
    },
    [setId, date, half, name, change],
  );

  return { half, entry, kept, problem, change, resolve };
}
export type DayHand = ReturnType<typeof useDay>;

/** Yesterday's entry shown pale until a second touch, or a touch on a scale, takes it. */
export function useSameAgain(hand: DayHand, yesterday: DayEntry | null) {
  const [isOffered, setOffered] = useState(false);
  const again = yesterday === null ? null : sameAgain(yesterday);
  const pale = isOffered ? again : null;
  return {
    pale,
    canOffer: again !== null && saysSomething(again),
    offer: () => setOffered(true),
    /** Takes what is still pale; what was said today stays. */
    take: () => {
      if (!again) return;
      setOffered(false);
      hand.change((today) => ({
        ...today,
        ratings: { ...again.ratings, ...today.ratings },
        marks: { ...again.marks, ...today.marks },
        night: today.night ?? again.night,
        done: saysDone(today) ? today.done : again.done,
      }));
    },
    paleRating: (scale: RatingId) => pale?.ratings[scale] ?? null,
  };
}

const saysDone = ({ done }: DayEntry) => done.deeds.length > 0 || done.redone !== null || done.worn !== null;
