import { expose } from 'comlink';
import type { ScaleReading } from '@/core/scale/scale';
import { putOn, readingOf, switchedOn, zeroed } from '@/core/scale/simulated-scale';
import { SCALE_CHANNEL } from './scale-channel';

const TELL_EVERY_MS = 150;

/** The simulated scale. It lives in a worker: the clock of a page that is not looked at stands still. */
const endpoint = {
  /** Switches it on; `hear` gets what the other pages hear. */
  switchOn(seed: number, hear: (reading: ScaleReading) => void): void {
    scale = switchedOn(seed, Date.now());
    setInterval(() => {
      const reading = readingOf(scale, Date.now());
      channel.postMessage(reading);
      hear(reading);
    }, TELL_EVERY_MS);
  },
  putOn(grams: number): void {
    scale = putOn(scale, grams, Date.now());
  },
  zero(): void {
    scale = zeroed(scale, Date.now());
  },
};

let scale = switchedOn(0, 0);
const channel = new BroadcastChannel(SCALE_CHANNEL);

export type ScaleEndpoint = typeof endpoint;
expose(endpoint);
