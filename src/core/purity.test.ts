import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();
const rulesBroken = async (code: string, filePath: string) => {
  const [result] = await eslint.lintText(code, { filePath });
  return result!.messages.filter((message) => message.severity === 2).map((message) => message.ruleId);
};

describe('the lint that keeps the core pure', () => {
  it.each([
    ['React', "import { useState } from 'react';\nexport const x = useState;"],
    ['Next', "import { headers } from 'next/headers';\nexport const x = headers;"],
    ['MUI', "import Button from '@mui/material/Button';\nexport const x = Button;"],
    ['the database', "import { drizzle } from 'drizzle-orm/libsql';\nexport const x = drizzle;"],
    ['files', "import { readFileSync } from 'node:fs';\nexport const x = readFileSync;"],
    ['a screen, by alias', "import { Page } from '@/ui/shell/page';\nexport const x = Page;"],
    ['the server, by path', "import { log } from '../../server/log';\nexport const x = log;"],
  ])('refuses %s in the core', async (_, code) => {
    expect(await rulesBroken(code, 'src/core/drying/intruder.ts')).toContain('no-restricted-imports');
  });

  it.each([
    ['the clock', 'export const now = () => Date.now();', 'no-restricted-properties'],
    ['a new date of now', 'export const now = () => new Date();', 'no-restricted-syntax'],
    ['chance', 'export const draw = () => Math.random();', 'no-restricted-properties'],
    ['the environment', 'export const key = () => process.env.KEY;', 'no-restricted-globals'],
    ['the network', "export const get = () => fetch('/x');", 'no-restricted-globals'],
  ])('refuses %s in the core', async (_, code, rule) => {
    expect(await rulesBroken(code, 'src/core/drying/intruder.ts')).toContain(rule);
  });

  it('lets a place reach the server only through its queries and actions', async () => {
    const code = "import { log } from '@/server/log';\nexport const x = log;";
    expect(await rulesBroken(code, 'src/places/plan/plan-desk.tsx')).toContain('no-restricted-imports');
    expect(await rulesBroken(code, 'src/places/plan/queries.ts')).toEqual([]);
  });

  it('has nothing against plain arithmetic', async () => {
    expect(
      await rulesBroken('export const twice = (x: number): number => 2 * x;', 'src/core/stats/twice.ts'),
    ).toEqual([]);
  });
}, 60_000);
