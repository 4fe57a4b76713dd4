'use client';
import { useEffect, type Ref } from 'react';
import type { CameOut } from '@/core/round/came-out';
import { HONESTLY } from '@/core/round/facts';
import { useUnits } from '../units-context';
import { FlatRound } from './flat-round';
import { RoundCanvas, type RoundHandle } from './round-canvas';
import { stateWords } from './round-words';
import styles from './round-view.module.css';
import type { RoundTones } from './round-tones';
import type { RoundPose } from './scene';
import { useRound, type RoundAsk } from './use-round';

/** One head that is shown, and what it is called. */
export interface ShownHead {
  /** Of several heads, what tells them apart; nothing private where it is shown to her. */
  readonly title: string | null;
  /** A brief as it is sent to a forecast. */
  readonly brief: unknown;
  /** How its set came out; left out for what is still forecast. */
  readonly cameOut?: CameOut;
  readonly tones: RoundTones;
}

/** One head with its words. */
export function RoundStage({
  head: { title, brief, cameOut, tones },
  ask,
  onDays,
  onWords,
  onTurned,
  onLost,
  ref,
}: {
  readonly head: ShownHead;
  readonly ask: RoundAsk;
  /** How many days there are to show. */
  readonly onDays: (days: number) => void;
  readonly onWords: (words: string) => void;
  readonly onTurned: (pose: RoundPose) => void;
  /** There is no WebGL, or it was taken away. */
  readonly onLost: () => void;
  readonly ref: Ref<RoundHandle>;
}) {
  const { units } = useUnits();
  const head = useRound(brief, cameOut ?? null, ask);
  const { facts, picture, flat, shown, building, problem } = head;
  const isFlat = ask.flatFrom !== null;
  const look = (isFlat ? flat : picture)?.look ?? null;
  const widthCm = isFlat ? null : (picture?.measures?.widthCm ?? null);
  const words = facts && shown ? stateWords(facts, shown, look, widthCm, units) : '';
  const days = facts?.days;
  useEffect(() => {
    if (days !== undefined) onDays(days);
  }, [days, onDays]);
  useEffect(() => onWords(words), [words, onWords]);
  return (
    <figure className={styles.figure}>
      {title && <h3>{title}</h3>}
      <div className={styles.stage}>
        {isFlat ? (
          <FlatRound picture={flat} tones={tones} label={words} />
        ) : (
          <RoundCanvas
            ref={ref}
            head={head}
            tones={tones}
            label={words || 'The head in three dimensions.'}
            onTurned={onTurned}
            onLost={onLost}
          />
        )}
        {building !== null && (
          <p className={styles.waiting} role="status">
            {shown ? 'Drawing…' : 'Drawing the head…'}
            <progress max={1} value={building} aria-label="Drawn" />
          </p>
        )}
        {problem && (
          <p className={styles.waiting} role="alert">
            {problem}
          </p>
        )}
      </div>
      <figcaption className={styles.words}>
        {words} <small>{HONESTLY}</small>
      </figcaption>
    </figure>
  );
}
