import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { PoolTask, tasks } from '@/workers/pool';
import { AppError } from './errors';

/** Longest that one forecast may take once its turn has come, ms; then its thread is ended. */
const LONGEST_MS = 10_000;
/** The same for what is some five seconds' work where nothing else runs. */
const LONGEST_SLOW_MS = 30_000;
const SLOW: readonly PoolTask[] = ['suggest', 'flatHead'];

/**
 * Lanes, so that programs that ask over HTTP, what is read out of years of sets, and what is drawn cannot hold up a forecast
 * on a screen: one thread each, one task at a time. What a stranger sends waits two deep and is told to come back; pages of the studio
 * itself wait longer.
 */
const MOST_WAITING = { screens: 64, http: 2, log: 64, pictures: 8 } as const;
export type Lane = keyof typeof MOST_WAITING;
/** Lanes that a first page may wait for. */
const LANES: readonly Lane[] = ['screens', 'http'];

/** A thread, what runs or waits for it, and the end of its queue. */
interface OpenLane {
  readonly threads: Piscina;
  present: number;
  tail: Promise<unknown>;
}

const holder = globalThis as { keenSpiralLanes?: Partial<Record<Lane, OpenLane>> };

function openLane(lane: Lane): OpenLane {
  const lanes = (holder.keenSpiralLanes ??= {});
  return (lanes[lane] ??= {
    threads: new Piscina({
      filename: join(process.cwd(), 'src', 'workers', 'pool.ts'),
      execArgv: ['--import', 'tsx'],
      minThreads: 1,
      maxThreads: 1,
      idleTimeout: Infinity,
    }),
    present: 0,
    tail: Promise.resolve(),
  });
}

/**
 * Works something out beside the request thread.
 *
 * @throws AppError busy when too much waits already, took-too-long after ten seconds of work, or thirty for what is slow
 */
export async function inPool<T extends PoolTask>(
  task: T,
  input: Parameters<(typeof tasks)[T]>[0],
  laneId: Lane = 'screens',
): Promise<ReturnType<(typeof tasks)[T]>> {
  const lane = openLane(laneId);
  // One runs; the others wait.
  if (lane.present > MOST_WAITING[laneId]) throw new AppError('busy');
  lane.present += 1;
  const turn = lane.tail.then(() => inTime(lane.threads, { task, input }));
  lane.tail = turn.catch(() => undefined);
  try {
    return (await turn) as ReturnType<(typeof tasks)[T]>;
  } finally {
    lane.present -= 1;
  }
}

/** Runs one task, and ends its thread when it takes too long. */
async function inTime(threads: Piscina, work: { task: PoolTask; input: unknown }): Promise<unknown> {
  const abort = new AbortController();
  const timer = setTimeout(() => abort.abort(), SLOW.includes(work.task) ? LONGEST_SLOW_MS : LONGEST_MS);
  try {
    return await threads.run(work, { signal: abort.signal });
  } catch (thrown) {
    throw abort.signal.aborted ? new AppError('took-too-long') : thrown;
  } finally {
    clearTimeout(timer);
  }
}

/** Whether threads run beside a server: a command line has none, and starts none for what can wait. */
export const isServing = (): boolean => Object.keys(holder.keenSpiralLanes ?? {}).length > 0;

/** Starts the threads, so that the first page does not wait for them. */
export const warmUp = (): void => LANES.forEach(openLane);

/** Ends the threads. A command line or test that used them would not end by itself. */
export async function closePool(): Promise<void> {
  const lanes = Object.values(holder.keenSpiralLanes ?? {});
  holder.keenSpiralLanes = {};
  await Promise.all(lanes.map(({ threads }) => threads.destroy()));
}
