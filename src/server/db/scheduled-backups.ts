import { execFile } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { env } from '../env';
import { invalid } from '../errors';
import { log } from '../log';
import { MINUTE_MS } from '@/core/units/time';
import { fileOf } from './backup';
import { copiesToKeep, copyName, timeOfCopy } from './copy-rotation';

/** One copy of the database. */
export interface Copy {
  readonly name: string;
  readonly takenAtMs: number;
  readonly bytes: number;
}

/** The folder of the copies, beside the database; null for a database that is no file. */
export function copiesFolder(): string | null {
  const file = fileOf(env.databaseUrl);
  return file === null ? null : join(dirname(file), 'copies');
}

/** Copies that were taken, newest first. */
export function listCopies(): Copy[] {
  const folder = copiesFolder();
  if (folder === null || !existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const takenAtMs = timeOfCopy(name);
      return takenAtMs === null ? [] : [{ name, takenAtMs, bytes: statSync(join(folder, name)).size }];
    })
    .sort((a, b) => b.takenAtMs - a.takenAtMs);
}

const run = promisify(execFile);

/**
 * Takes a copy now, in a process of its own: copying stops the process it runs in. Older copies beyond what is kept
 * are removed after.
 *
 * @throws AppError invalid when it cannot be taken
 */
export async function takeCopy(nowMs: number): Promise<Copy> {
  const folder = copiesFolder();
  if (folder === null) throw invalid('', 'only a database in a file can be copied this way');
  mkdirSync(folder, { recursive: true });
  const name = copyName(nowMs);
  try {
    await run(process.execPath, ['--import', 'tsx', 'src/cli/keen.ts', 'backup', join(folder, name)], {
      // The environment as it is: the child reads the same settings.
      env: { ...env.forChildren, DATABASE_URL: env.databaseUrl },
    });
  } catch {
    throw invalid('', 'the copy could not be taken; is there room on the disk?');
  }
  const kept = new Set(copiesToKeep(listCopies().map((copy) => copy.takenAtMs)));
  for (const copy of listCopies()) if (!kept.has(copy.takenAtMs)) rmSync(join(folder, copy.name));
  return { name, takenAtMs: timeOfCopy(name) ?? nowMs, bytes: statSync(join(folder, name)).size };
}

const changedAtMs = (): number => {
  const file = fileOf(env.databaseUrl)!;
  return Math.max(...[file, `${file}-wal`].map((part) => (existsSync(part) ? statSync(part).mtimeMs : 0)));
};

/** Takes a copy every so often while the server runs, when something was changed since the last. */
export function scheduleCopies(): void {
  if (env.copyEveryMin === 0 || copiesFolder() === null) return;
  let isTaking = false;
  const look = async () => {
    const last = listCopies()[0]?.takenAtMs ?? 0;
    const nowMs = Date.now();
    if (isTaking || nowMs - last < env.copyEveryMin * MINUTE_MS || changedAtMs() <= last) return;
    isTaking = true;
    try {
      await takeCopy(nowMs);
    } catch {
      log.error({ code: 'copy-failed' }, 'a scheduled copy could not be taken');
    }
    isTaking = false;
  };
  setInterval(() => void look(), MINUTE_MS).unref();
}
