import { spawn } from 'node:child_process';

/** The slowest check by itself, the others beside it: two cores are kept busy. */
const LANES = [['lint'], ['format:check', 'types', 'cycles', 'dead-code']] as const;

/** Runs one check; what it says is printed whole once it is over. */
const check = (name: string): Promise<boolean> =>
  new Promise((done) => {
    const run = spawn('npm', ['run', '-s', name], { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [run.stdout, run.stderr])
      stream.on('data', (part: Buffer) => (said += String(part)));
    run.on('close', (code) => {
      console.log(`${code === 0 ? 'ok' : 'FAILED'} ${name}\n${said.trim()}`);
      done(code === 0);
    });
  });

const lane = async (names: readonly string[]): Promise<boolean> => {
  for (const name of names) if (!(await check(name))) return false;
  return true;
};

void Promise.all(LANES.map(lane)).then((passed) => {
  process.exitCode = passed.every(Boolean) ? 0 : 1;
});
