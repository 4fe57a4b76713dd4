'use client';
import { useEffect, useImperativeHandle, useRef, useState, type Ref } from 'react';
import { useUnits } from '../units-context';
import styles from './round-view.module.css';
import type { RoundTones } from './round-tones';
import type { RoundPose, RoundScene, RoundSide } from './scene';
import type { RoundHead } from './use-round';

/** What can be done with a head that is shown. */
export interface RoundHandle {
  readonly turn: (azimuthRad: number, polarRad: number) => void;
  readonly nearer: (times: number) => void;
  readonly look: (from: RoundSide) => void;
  readonly take: (pose: RoundPose) => void;
  readonly canvas: () => HTMLCanvasElement | null;
}

const STEP_RAD = Math.PI / 12;
const NEARER = 0.85;
const KEYS: Readonly<Record<string, (scene: RoundScene) => void>> = {
  ArrowLeft: (scene) => scene.turn(-STEP_RAD, 0),
  ArrowRight: (scene) => scene.turn(STEP_RAD, 0),
  ArrowUp: (scene) => scene.turn(0, -STEP_RAD),
  ArrowDown: (scene) => scene.turn(0, STEP_RAD),
  '+': (scene) => scene.nearer(NEARER),
  '=': (scene) => scene.nearer(NEARER),
  '-': (scene) => scene.nearer(1 / NEARER),
};

/** The canvas that a head is drawn on, turned by pointer, fingers and keys. */
export function RoundCanvas({
  head,
  tones,
  label,
  onTurned,
  onLost,
  ref,
}: {
  readonly head: RoundHead;
  readonly tones: RoundTones;
  /** What is shown, in words. */
  readonly label: string;
  readonly onTurned?: (pose: RoundPose) => void;
  /** There is no WebGL, or it was taken away. */
  readonly onLost: () => void;
  readonly ref?: Ref<RoundHandle>;
}) {
  const { units } = useUnits();
  const [canvas, setCanvas] = useState<HTMLCanvasElement | null>(null);
  const [isReady, setReady] = useState(false);
  const scene = useRef<RoundScene | null>(null);
  const hear = useRef({ onTurned, onLost });
  const { surface, picture, facts, shown } = head;
  useEffect(() => {
    hear.current = { onTurned, onLost };
  });

  useEffect(() => {
    if (!canvas || !surface) return;
    let isGone = false;
    let made: RoundScene | null = null;
    void import('./scene').then(({ makeRoundScene }) => {
      if (isGone) return;
      try {
        made = makeRoundScene(canvas, surface, tones, units, {
          turned: (pose) => hear.current.onTurned?.(pose),
          lost: () => hear.current.onLost(),
        });
        scene.current = made;
        setReady(true);
      } catch {
        hear.current.onLost();
      }
    });
    return () => {
      isGone = true;
      scene.current = null;
      setReady(false);
      made?.dispose();
    };
    // Tones and units are those of the head as it was when this was opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [canvas, surface]);

  useEffect(() => {
    if (isReady && picture && facts && shown) scene.current?.show(picture, facts, shown.kind === 'set');
  }, [isReady, picture, facts, shown]);

  useImperativeHandle(
    ref,
    (): RoundHandle => ({
      turn: (azimuth, polar) => scene.current?.turn(azimuth, polar),
      nearer: (times) => scene.current?.nearer(times),
      look: (from) => scene.current?.look(from),
      take: (pose) => scene.current?.take(pose),
      canvas: () => scene.current?.canvas ?? null,
    }),
    [],
  );

  return (
    <canvas
      ref={setCanvas}
      className={styles.canvas}
      tabIndex={0}
      role="img"
      aria-label={`${label} Turn it with the arrow keys, nearer with plus, farther with minus`}
      data-ready={isReady && picture !== null}
      data-shows={shown ? (shown.kind === 'worn' ? `day-${shown.day}-${shown.reach}` : shown.kind) : ''}
      onKeyDown={(event) => {
        const act = KEYS[event.key];
        if (!act || !scene.current) return;
        event.preventDefault();
        act(scene.current);
      }}
    />
  );
}
