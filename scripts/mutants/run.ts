import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { MUTANTS, type Mutant } from './table';

/*
 * Plants each fault of the table in a copy of the project and looks whether a unit test notices: first the tests
 * beside the file, then the golden figures, then every test that reaches it. Reports; it is no pass mark. With words
 * after it, only the faults whose file or text holds one of them are planted.
 */

const LANES = 2;
const PATIENCE_MS = 300_000;
const COPIED = [
  'src',
  'tests',
  'scripts',
  'drizzle',
  'docs',
  'package.json',
  'tsconfig.json',
  'vitest.config.mts',
];

/** Who noticed: a test beside the file, the golden figures, a test farther off, nobody; or the text is not there. */
const VERDICTS = ['beside', 'golden', 'farther', 'survived', 'stale'] as const;
type Verdict = (typeof VERDICTS)[number];

function copyOfProject(): string {
  const folder = mkdtempSync(join(tmpdir(), 'mutants-'));
  for (const name of COPIED) cpSync(name, join(folder, name), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** Runs some unit tests; answers whether all passed. A test that never ends has noticed too. */
const pass = (folder: string, args: readonly string[]) =>
  new Promise<boolean>((resolve) => {
    const run = spawn(
      'node_modules/.bin/vitest',
      [...args, '--run', '--project', 'unit', '--bail', '1', '--passWithNoTests', '--reporter', 'dot'],
      { cwd: folder, stdio: 'ignore', detached: true },
    );
    const timer = setTimeout(() => process.kill(-run.pid!, 'SIGKILL'), PATIENCE_MS);
    run.once('exit', (code) => {
      clearTimeout(timer);
      resolve(code === 0);
    });
  });

async function verdictOf(folder: string, [file, from, to]: Mutant): Promise<Verdict> {
  const path = join(folder, file);
  const text = readFileSync(path, 'utf8');
  if (text.split(from).length !== 2) return 'stale';
  writeFileSync(
    path,
    text.replace(from, () => to),
  );
  try {
    if (!(await pass(folder, [dirname(file)]))) return 'beside';
    if (file.startsWith('src/core') && !(await pass(folder, ['tests/golden']))) return 'golden';
    return (await pass(folder, ['related', file])) ? 'survived' : 'farther';
  } finally {
    writeFileSync(path, text);
  }
}

async function main() {
  const wanted = process.argv.slice(2);
  const asked = MUTANTS.filter(
    (own) => wanted.length === 0 || wanted.some((word) => own.join(' ').includes(word)),
  );
  const verdicts = new Map<Mutant, Verdict>();
  const left = [...asked];
  await Promise.all(
    Array.from({ length: LANES }, async () => {
      const folder = copyOfProject();
      for (let own = left.shift(); own; own = left.shift()) {
        const verdict = await verdictOf(folder, own);
        verdicts.set(own, verdict);
        const done = `${verdicts.size}/${asked.length}`;
        console.log(`${done} ${verdict.padEnd(8)} ${own[0]}  ${inOneLine(own[1])}  →  ${inOneLine(own[2])}`);
      }
      rmSync(folder, { recursive: true, force: true });
    }),
  );
  const count = (verdict: Verdict) => [...verdicts.values()].filter((own) => own === verdict).length;
  const killed = count('beside') + count('golden') + count('farther');
  console.log(
    `${asked.length} planted, ${killed} noticed (${Math.round((100 * killed) / asked.length)} %): ${VERDICTS.map((own) => `${own} ${count(own)}`).join(', ')}`,
  );
}

const inOneLine = (text: string) => text.replace(/\s+/g, ' ');

await main();
