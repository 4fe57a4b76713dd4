'use client';
import { useEffect, useRef, useState, type RefObject } from 'react';

/** A camera whose picture runs in a video, until who shows it goes. */
export interface RunningCamera {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly isReady: boolean;
  /** Why there is none. */
  readonly problem: string | null;
}

/**
 * Opens the camera that looks away from the screen.
 *
 * @param instead what can be done where it cannot be used
 */
export function useCamera(instead: string): RunningCamera {
  const video = useRef<HTMLVideoElement>(null);
  const [isReady, setReady] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let isGone = false;
    const open = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 1920 }, height: { ideal: 1440 } },
        });
        if (isGone) stream.getTracks().forEach((track) => track.stop());
        else if (video.current) {
          video.current.srcObject = stream;
          await video.current.play();
          setReady(true);
        }
      } catch {
        setProblem(`The camera cannot be used here. Allow it in the browser, or ${instead} instead.`);
      }
    };
    void open();
    return () => {
      isGone = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, [instead]);
  return { video, isReady, problem };
}
