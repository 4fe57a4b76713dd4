import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';

interface Report {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numPendingTests: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly status: string;
    readonly assertionResults: readonly { readonly fullName: string; readonly status: string }[];
  }[];
}

/** What failed, a line each: a file that could not even begin counts as itself. */
const failures = (report: Report): string[] =>
  report.testResults
    .filter(({ status }) => status === 'failed')
    .flatMap(({ name, assertionResults }) => {
      const failed = assertionResults.filter(({ status }) => status === 'failed');
      return failed.length === 0 ? [name] : failed.map(({ fullName }) => `${name}: ${fullName}`);
    });

/** Runs the test projects one after the other and closes with one line that counts them all. */
mkdirSync('test-output', { recursive: true });
const broken: string[] = [];
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
  broken.push(...failures(report));
  skipped += report.numPendingTests;
}
for (const line of broken) console.log(`FAILED ${line}`);
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exitCode = worst;
