import { spawn } from 'node:child_process';

/** Runs one script; answers whether it went well. What it said is shown at once, not mixed with the other lane's. */
const run = (script: string): Promise<boolean> =>
  new Promise((resolve) => {
    const begunMs = Date.now();
    const child = spawn('npm', ['run', '--silent', script], { env: { ...process.env, FORCE_COLOR: '1' } });
    const said: Buffer[] = [];
    child.stdout.on('data', (part: Buffer) => said.push(part));
    child.stderr.on('data', (part: Buffer) => said.push(part));
    child.on('close', (code) => {
      const seconds = Math.round((Date.now() - begunMs) / 1000);
      if (code !== 0) process.stdout.write(Buffer.concat(said));
      console.log(`${code === 0 ? 'passed' : 'FAILED'} ${script}, ${seconds} s`);
      resolve(code === 0);
    });
  });

/** Runs scripts in lanes beside each other, a lane's one after the other; the exit code says whether all went well. */
export async function runLanes(lanes: readonly (readonly string[])[]): Promise<void> {
  const verdicts = await Promise.all(
    lanes.map(async (lane) => {
      let isFine = true;
      for (const script of lane) isFine = (await run(script)) && isFine;
      return isFine;
    }),
  );
  process.exitCode = verdicts.every(Boolean) ? 0 : 1;
}
