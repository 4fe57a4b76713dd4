import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';

interface Report {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numPendingTests: number;
}

/** Runs the test projects one after the other and closes with one line that counts them all. */
mkdirSync('test-output', { recursive: true });
let [passed, failed, skipped, worst] = [0, 0, 0, 0];
for (const project of ['unit', 'flows']) {
  const file = `test-output/${project}.json`;
  const run = spawnSync(
    'node_modules/.bin/vitest',
    ['run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile=${file}`],
    { stdio: 'inherit' },
  );
  worst = Math.max(worst, run.status ?? 1);
  const report = JSON.parse(readFileSync(file, 'utf8')) as Report;
  passed += report.numPassedTests;
  failed += report.numFailedTests;
  skipped += report.numPendingTests;
}
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exitCode = worst;
