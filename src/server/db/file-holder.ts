import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { z } from 'zod';

/** Who holds which file: a copied folder brings the note along, but not the holder. */
const holderFile = z.object({ pid: z.int().positive(), startedAt: z.string(), file: z.string() });

const lockOf = (file: string) => `${file}.held`;

/** When a process began, as the system counts it: two processes with the same number are told apart by it. */
function startOf(pid: number): string | null {
  try {
    process.kill(pid, 0);
  } catch (thrown) {
    // Not allowed to signal it means that it lives all the same.
    if ((thrown as NodeJS.ErrnoException).code !== 'EPERM') return null;
  }
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    return '';
  }
}

/** The running process that holds a database file, or null. A holder that was killed holds nothing. */
export function holderOf(file: string): number | null {
  if (!existsSync(lockOf(file))) return null;
  try {
    const held = holderFile.parse(JSON.parse(readFileSync(lockOf(file), 'utf8')));
    return held.file === resolve(file) && startOf(held.pid) === held.startedAt ? held.pid : null;
  } catch {
    return null;
  }
}

/**
 * Holds a database file for this process, until it ends or lets go.
 *
 * @returns what lets go, or the process that holds it already
 */
export function hold(file: string): (() => void) | number {
  const other = holderOf(file);
  if (other !== null && other !== process.pid) return other;
  writeFileSync(
    lockOf(file),
    JSON.stringify({ pid: process.pid, startedAt: startOf(process.pid), file: resolve(file) }),
  );
  const letGo = () => rmSync(lockOf(file), { force: true });
  process.once('exit', letGo);
  return letGo;
}
