import type { RunEvent } from './run-event';
import type { RunState } from './run-state';

/** What of one product went on so far, and whether the rest will reach. */
export interface ProductUse {
  /** What went on, g; null while nobody weighed or counted. */
  readonly usedG: number | null;
  readonly by: 'weighing' | 'counting' | null;
  /** What is gone of it, g: what was used, and what that leaves out by the same habit; as planned where nobody measured. */
  readonly goneG: number;
  /** What the plan has for the sections that this covers, g, and for those still to come. */
  readonly plannedDoneG: number;
  readonly plannedLeftG: number;
  /** What the rest takes if it goes on like this, g: as planned while too little is known. */
  readonly neededG: number;
  /** What there still is, g; null where nobody knows. */
  readonly leftG: number | null;
  readonly isShort: boolean;
  /** What each section still to come may take so that it reaches, g; null where it reaches, or nobody knows. */
  readonly eachG: number | null;
}

/** Hands measure no finer than this share of a dose (common practice): less than it is no shortage. */
const MEASURED_BY_HAND = 0.05;
/** Sections before a habit can be told from one generous section. */
const TELLING_SECTIONS = 3;

/** What a tub lost between weighings, g. Where it weighs more than before, another was opened. */
export function lostG(weighings: readonly number[]): number {
  return weighings.slice(1).reduce((sum, grams, i) => sum + Math.max(0, weighings[i]! - grams), 0);
}

const ofLayer = (events: readonly RunEvent[], kind: RunEvent['kind'], layer: number) =>
  events.filter((event) => event.kind === kind && event.step === String(layer) && event.amount !== null);

/**
 * What of a layer's product was used, against the plan: by weighing the tub before and after, else by counting pumps.
 *
 * @param layer its place among the layers
 * @param plannedG what each section gets of it, by number; null where it does not go
 * @param unitG grams of one hand unit of it
 * @param atStartG what there was of it when the set was begun, g; null where nobody knows
 */
export function productUse(
  { standing, doneAtMs }: RunState,
  layer: number,
  plannedG: ReadonlyMap<number, number | null>,
  unitG: number,
  atStartG: number | null,
): ProductUse {
  const weighings = ofLayer(standing, 'tub-weighed', layer);
  const counted = ofLayer(standing, 'dispensed', layer);
  const isWeighed = weighings.length > 1;
  const isCounted = !isWeighed && counted.length > 0;
  const untilMs = isWeighed ? weighings.at(-1)!.atMs : Infinity;
  const sum = (isIt: (number: number) => boolean) =>
    [...plannedG].reduce((total, [number, grams]) => total + (isIt(number) ? (grams ?? 0) : 0), 0);
  const covered = (number: number) => doneAtMs.has(number) && doneAtMs.get(number)! <= untilMs;
  const plannedDoneG = sum(covered);
  const plannedLeftG = sum((number) => !doneAtMs.has(number));
  const usedG = isWeighed
    ? lostG(weighings.map(({ amount }) => amount!))
    : isCounted
      ? unitG * counted.reduce((total, { amount }) => total + amount!, 0)
      : null;
  const isTelling =
    [...plannedG].filter(([number, grams]) => grams !== null && covered(number)).length >= TELLING_SECTIONS;
  const habit = usedG !== null && isTelling && plannedDoneG > 0 ? usedG / plannedDoneG : 1;
  const neededG = habit * plannedLeftG;
  const goneG = usedG === null ? plannedDoneG : usedG + habit * (sum((n) => doneAtMs.has(n)) - plannedDoneG);
  const leftG = atStartG === null ? null : Math.max(0, atStartG - goneG);
  const open = [...plannedG].filter(([number, grams]) => grams !== null && !doneAtMs.has(number)).length;
  const isShort = leftG !== null && open > 0 && leftG < (1 - MEASURED_BY_HAND) * neededG;
  return {
    usedG,
    by: isWeighed ? 'weighing' : isCounted ? 'counting' : null,
    goneG,
    plannedDoneG,
    plannedLeftG,
    neededG,
    leftG,
    isShort,
    eachG: isShort ? leftG / open : null,
  };
}
