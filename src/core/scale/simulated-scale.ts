import { seededRng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import type { ScaleReading } from './scale';

/** A small kitchen scale, as cheap ones are (assumed): what it shows is never quite what lies on it. */
const RESOLUTION_G = 0.1;
const NOISE_SD_G = 0.05;
/** How fast the plate settles after something is put on it. */
const SETTLE_MS = 220;
/** Warming up moves the zero by this much, with this time constant; then it wanders slowly either way. */
const WARM_UP_G = 0.8;
const WARM_UP_MS = 6 * 60_000;
const WANDER_G = 0.25;
const WANDER_MS = 95_000;
const WANDER_STREAM = 1;
const NOISE_STREAM = 2;

/** A simulated scale at one moment: what lies on it, since when, and where its zero was set. */
export interface SimulatedScale {
  readonly seed: number;
  readonly switchedOnAtMs: number;
  readonly loadG: number;
  readonly loadBeforeG: number;
  readonly loadedAtMs: number;
  readonly zeroG: number;
}

/** A simulated scale as it is switched on: nothing on it, and its zero where it stands. */
export const switchedOn = (seed: number, atMs: number): SimulatedScale => ({
  seed,
  switchedOnAtMs: atMs,
  loadG: 0,
  loadBeforeG: 0,
  loadedAtMs: atMs,
  zeroG: 0,
});

/** What the plate bears, on its way from the old load to the new. */
const borneG = ({ loadG, loadBeforeG, loadedAtMs }: SimulatedScale, atMs: number) =>
  loadG + (loadBeforeG - loadG) * Math.exp(-Math.max(0, atMs - loadedAtMs) / SETTLE_MS);

/** How far the zero has moved by itself, g. */
function driftG({ seed, switchedOnAtMs }: SimulatedScale, atMs: number): number {
  const onMs = Math.max(0, atMs - switchedOnAtMs);
  const phase = 2 * Math.PI * seededRng(seed, WANDER_STREAM)();
  return (
    WARM_UP_G * (1 - Math.exp(-onMs / WARM_UP_MS)) +
    WANDER_G * (Math.sin((2 * Math.PI * onMs) / WANDER_MS + phase) - Math.sin(phase))
  );
}

/** Something else lies on the scale from now on. */
export const putOn = (scale: SimulatedScale, loadG: number, atMs: number): SimulatedScale => ({
  ...scale,
  loadBeforeG: borneG(scale, atMs),
  loadG,
  loadedAtMs: atMs,
});

/** Its zero key was pressed. */
export const zeroed = (scale: SimulatedScale, atMs: number): SimulatedScale => ({
  ...scale,
  zeroG: borneG(scale, atMs) + driftG(scale, atMs),
});

/** What it shows: settling, drifting, noisy and rounded. The same scale and moment give the same reading. */
export function readingOf(scale: SimulatedScale, atMs: number): ScaleReading {
  const noise = NOISE_SD_G * normalQuantile(seededRng(scale.seed ^ Math.round(atMs), NOISE_STREAM)());
  const raw = borneG(scale, atMs) + driftG(scale, atMs) + noise - scale.zeroG;
  const steps = Math.round(raw / RESOLUTION_G);
  return { grams: Number((steps * RESOLUTION_G).toFixed(1)) + 0, atMs };
}
