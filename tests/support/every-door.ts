import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { z } from 'zod';

/** An action or a route handler, as its file exports it. */
export type Door = ((...given: unknown[]) => Promise<unknown>) & {
  readonly permission: string;
  readonly input?: z.ZodType;
};

/** Every server action and route handler of the program, found in its code. */
export async function everyDoor(): Promise<{ readonly name: string; readonly ask: Door }[]> {
  const root = join(process.cwd(), 'src');
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
    (file) =>
      /^app\/.*route\.ts$/.test(file) ||
      (/\.ts$/.test(file) && readFileSync(join(root, file), 'utf8').startsWith("'use server'")),
  );
  const doors: { name: string; ask: Door }[] = [];
  for (const file of files) {
    const exported = (await import(join(root, file))) as Record<string, unknown>;
    for (const [key, value] of Object.entries(exported))
      if (typeof value === 'function') doors.push({ name: `${file} ${key}`, ask: value as Door });
  }
  return doors;
}
