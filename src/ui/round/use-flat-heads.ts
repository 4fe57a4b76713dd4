'use client';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { FlatPicture } from '@/core/round/flat-picture';
import { startRound, type RoundMaker } from '@/workers/client';

/** From where small heads are looked at: from the front, a little from her right. */
const FROM_RAD = -0.42;
const FIRST_DAY = { kind: 'worn', day: 0, reach: 'likely' } as const;

const nobodyHears = () => undefined;

/**
 * Draws heads small and flat on their first day, beside the page, one after the other.
 *
 * @param briefs as they are sent to a forecast; what was drawn of one is kept
 * @returns the picture of a brief, once it is there
 */
export function useFlatHeads(briefs: readonly unknown[]): (brief: unknown) => FlatPicture | null {
  const [pictures, setPictures] = useState<ReadonlyMap<string, FlatPicture>>(new Map());
  const drawn = useRef(new Set<string>());
  const wanted = JSON.stringify(briefs);
  useEffect(() => {
    let maker: RoundMaker | null = null;
    let isGone = false;
    void (async () => {
      for (const brief of JSON.parse(wanted) as unknown[]) {
        const key = JSON.stringify(brief);
        if (drawn.current.has(key)) continue;
        maker ??= startRound();
        const facts = await maker.ask.open(key, brief, null);
        if (isGone || !facts.ok) return;
        const picture = await maker.ask.flat(key, FIRST_DAY, FROM_RAD, 'small', proxy(nobodyHears));
        if (isGone || !picture) return;
        drawn.current.add(key);
        setPictures((before) => new Map(before).set(key, picture));
      }
      maker?.end();
    })();
    return () => {
      isGone = true;
      maker?.end();
    };
  }, [wanted]);
  return (brief) => pictures.get(JSON.stringify(brief)) ?? null;
}
