import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { PoolTask, tasks } from '@/workers/pool';
import { env } from './env';
import { AppError } from './errors';

/**
 * Lanes, so that programs that ask over HTTP, what is read out of years of sets, and what is drawn cannot hold up a forecast
 * on a screen: one thread each, one task at a time. What a stranger sends waits two deep and is told to come back; pages of the studio
 * itself wait longer. `longestMs` ends the thread of a task that would never end. Where nothing else runs the slowest takes some
 * five seconds; a machine that has much else to do takes ten times as long, and that is no failure.
 */
const LANES = {
  screens: { mostWaiting: 64, longestMs: 120_000 },
  http: { mostWaiting: 2, longestMs: 30_000 },
  log: { mostWaiting: 64, longestMs: 120_000 },
  pictures: { mostWaiting: 8, longestMs: 60_000 },
} as const;
export type Lane = keyof typeof LANES;
/** Lanes that a first page may wait for. */
const WARM: readonly Lane[] = ['screens', 'http'];

/** A thread, what runs or waits for it, and the end of its queue. */
interface OpenLane {
  readonly threads: Piscina;
  present: number;
  tail: Promise<unknown>;
}

const holder = globalThis as { keenSpiralLanes?: Partial<Record<Lane, OpenLane>> };

/** What a thread runs: the bundle of what was built, which stands in a fifth of the time, or what is being written. */
const THREAD = env.isProduction
  ? { filename: join(process.cwd(), '.next', 'pool.mjs') }
  : { filename: join(process.cwd(), 'src', 'workers', 'pool.ts'), execArgv: ['--import', 'tsx'] };

function openLane(lane: Lane): OpenLane {
  const lanes = (holder.keenSpiralLanes ??= {});
  return (lanes[lane] ??= {
    threads: new Piscina({
      ...THREAD,
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
 * @throws AppError busy when too much waits already, took-too-long after the longest that a task of its lane may take
 */
export async function inPool<T extends PoolTask>(
  task: T,
  input: Parameters<(typeof tasks)[T]>[0],
  laneId: Lane = 'screens',
): Promise<ReturnType<(typeof tasks)[T]>> {
  const lane = openLane(laneId);
  // One runs; the others wait.
  if (lane.present > LANES[laneId].mostWaiting) throw new AppError('busy');
  lane.present += 1;
  const turn = lane.tail.then(() => inTime(lane.threads, { task, input }, LANES[laneId].longestMs));
  lane.tail = turn.catch(() => undefined);
  try {
    return (await turn) as ReturnType<(typeof tasks)[T]>;
  } finally {
    lane.present -= 1;
  }
}

/** Runs one task, and ends its thread when it takes too long. */
async function inTime(
  threads: Piscina,
  work: { task: PoolTask; input: unknown },
  longestMs: number,
): Promise<unknown> {
  const abort = new AbortController();
  const timer = setTimeout(() => abort.abort(), longestMs);
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
export const warmUp = (): void => WARM.forEach(openLane);

/** Ends the threads. A command line or test that used them would not end by itself. */
export async function closePool(): Promise<void> {
  const lanes = Object.values(holder.keenSpiralLanes ?? {});
  holder.keenSpiralLanes = {};
  await Promise.all(lanes.map(({ threads }) => threads.destroy()));
}
