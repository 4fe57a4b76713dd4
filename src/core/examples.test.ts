import { readFileSync, readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import { describe, expect, it } from 'vitest';

const CORE = import.meta.dirname;
const EXAMPLE = /@example (?<call>.+?) \/\/ => (?<value>.+?)(?: \*\/)?$/;

interface Example {
  readonly file: string;
  readonly call: string;
  readonly value: string;
}

const examples: Example[] = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .flatMap((file) =>
    readFileSync(join(CORE, file), 'utf8')
      .split('\n')
      .flatMap((line) => {
        const { call, value } = EXAMPLE.exec(line)?.groups ?? {};
        return call !== undefined && value !== undefined ? [{ file: relative('.', file), call, value }] : [];
      }),
  );

/** Numbers are written to the digits that matter: half of the last one may be off. */
const digits = (text: string): number => (/\.(\d+)/.exec(text)?.[1] ?? '').length;

function agree(found: unknown, wanted: unknown, places: number): void {
  if (typeof wanted === 'number' && Number.isFinite(wanted)) expect(found).toBeCloseTo(wanted, places);
  else if (wanted !== null && typeof wanted === 'object')
    for (const [key, inner] of Object.entries(wanted))
      agree((found as Record<string, unknown>)[key], inner, places);
  else expect(found).toEqual(wanted);
}

describe('worked examples in the comments', () => {
  it.each(examples)('$file: $call is $value', async ({ file, call, value }) => {
    const exported = (await import(pathToFileURL(join(CORE, file)).href)) as Record<string, unknown>;
    const names = Object.keys(exported);
    const evaluate = (text: string): unknown =>
      (new Function(...names, `return (${text})`) as (...values: unknown[]) => unknown)(
        ...names.map((name) => exported[name]),
      );
    agree(evaluate(call), evaluate(value), Math.max(0, ...(value.match(/\d*\.\d+/g) ?? []).map(digits)));
  });

  it('are there where a formula is not plain', () => {
    expect(examples.length).toBeGreaterThanOrEqual(40);
  });
});
