/** Work done in steps: each tells what share of it is done, 0 to 1, and it may be left at any of them. */
export type Work<T> = Generator<number, T>;

/** Runs what goes in steps to its end. */
export function ran<T>(steps: Generator<unknown, T>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** Work as a part of more: its shares lie between two of the whole. */
export function* partOf<T>(work: Work<T>, from: number, to: number): Work<T> {
  let step = work.next();
  while (!step.done) {
    yield from + (to - from) * step.value;
    step = work.next();
  }
  return step.value;
}
