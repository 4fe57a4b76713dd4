import { spawn, type ChildProcess } from 'node:child_process';
import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { growDemo, seedDemo } from '../../scripts/demo/seed';

/** A production server of the app with its own database file. */
export interface TestServer {
  readonly origin: string;
  readonly database: Database;
  /** Where its data is. */
  readonly folder: string;
  readonly stop: () => Promise<void>;
}

/** Ports of one worker of the tests; those of another, and what the system gives to connections, lie elsewhere. */
const FIRST_PORT = 20_000;
const PORTS = 2_000;

/** A port that nothing listens on, and that no test beside this one asks for. */
export async function freePort(): Promise<number> {
  const first = FIRST_PORT + PORTS * Number(process.env.VITEST_POOL_ID ?? 0);
  for (;;) {
    const port = first + Math.floor(Math.random() * PORTS);
    const probe = createServer();
    const isFree = await new Promise<boolean>((found) => {
      probe.once('error', () => found(false));
      probe.listen(port, '127.0.0.1', () => probe.close(() => found(true)));
    });
    if (isFree) return port;
  }
}

/** Waits until the program itself says that its doors are open: what answers at the port may be another. */
const opens = (server: ChildProcess): Promise<void> =>
  new Promise((open, failed) => {
    const late = setTimeout(() => failed(new Error('the server did not open within two minutes')), 120_000);
    server.once('exit', (code) => failed(new Error(`the server stopped with ${code}`)));
    server.stdout!.on('data', (words: Buffer) => {
      if (!String(words).includes('Keen Spiral is at')) return;
      clearTimeout(late);
      open();
    });
  });

/** A running server that can be asked to stop or be killed. */
interface Served {
  readonly origin: string;
  readonly end: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>;
}

/**
 * The built app as a newer build would be: every file that a browser fetches has another name.
 *
 * @returns the folder to serve it from
 */
export function aNewerBuild(): string {
  const folder = mkdtempSync(join(tmpdir(), 'keen-spiral-newer-'));
  for (const entry of readdirSync('.'))
    if (!entry.startsWith('.next')) symlinkSync(resolve(entry), join(folder, entry));
  const built = join(folder, '.next');
  cpSync('.next', built, { recursive: true, filter: (path) => !path.startsWith(join('.next', 'cache')) });
  renameSync(join(built, 'static', 'chunks'), join(built, 'static', 'newer'));
  const buildId = readFileSync(join(built, 'BUILD_ID'), 'utf8').trim();
  for (const entry of readdirSync(built, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile() || !/\.(js|json|html|rsc|css|map)$|BUILD_ID$/.test(entry.name)) continue;
    const path = join(entry.parentPath, entry.name);
    const text = readFileSync(path, 'utf8');
    const newer = text.replaceAll('static/chunks', 'static/newer').replaceAll(buildId, 'newer-build');
    if (newer !== text) writeFileSync(path, newer);
  }
  renameSync(join(built, 'static', buildId), join(built, 'static', 'newer-build'));
  return folder;
}

/** Serves the built app from a database on a port. */
export async function serve(
  url: string,
  port: number,
  folder = '.',
  settings: Readonly<Record<string, string>> = {},
): Promise<Served> {
  const server = spawn(process.execPath, [join('.next', 'keen-spiral.mjs')], {
    cwd: folder,
    env: {
      ...process.env,
      PORT: String(port),
      ...settings,
      DATABASE_URL: url,
      NODE_ENV: 'production',
      TZ: 'UTC',
      NEXT_TELEMETRY_DISABLED: '1',
      LOG_LEVEL: 'error',
      COPY_EVERY_MIN: '0',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  const isOver = () => server.exitCode !== null || server.signalCode !== null;
  const kill = () => {
    if (server.pid && !isOver()) process.kill(-server.pid, 'SIGKILL');
  };
  // A script that fails must not leave its server behind.
  process.once('exit', kill);
  const origin = `http://127.0.0.1:${port}`;
  await opens(server);
  return {
    origin,
    end: async (signal) => {
      process.off('exit', kill);
      if (isOver()) return;
      const gone = new Promise((ended) => server.once('exit', ended));
      // Asked to stop is the program itself; killed is all that it began.
      if (signal === 'SIGKILL') kill();
      else server.kill(signal);
      await gone;
    },
  };
}

/** What a database is filled with: the heart of the demo studio, all of it, or nothing. */
export type Filling = 'demo' | 'whole-demo' | 'empty';

/** A database of its own in a new folder, with the demo studio or empty. */
export async function aDatabase(data: Filling, nowMs: number) {
  const folder = mkdtempSync(join(tmpdir(), 'keen-spiral-'));
  const url = `file:${join(folder, 'test.db')}`;
  const database = openDatabase(url);
  await migrateDatabase(database, url, nowMs);
  if (data !== 'empty') await seedDemo(database, nowMs);
  if (data === 'whole-demo') await growDemo(database, nowMs);
  return { folder, url, database };
}

/** Starts the built app on a free port, with the demo studio or empty. */
export async function startServer(data: Filling, nowMs = Date.now()): Promise<TestServer> {
  const { folder, url, database } = await aDatabase(data, nowMs);
  const { origin, end } = await serve(url, await freePort());
  return {
    origin,
    database,
    folder,
    stop: async () => {
      await end('SIGTERM');
      database.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
