import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { advisoryProblems, licenceProblems, unpinned, type Audit, type LockedPackage } from './dependencies';

const LONGEST_MS = 30_000;
const read = <T>(file: string) => JSON.parse(readFileSync(file, 'utf8')) as T;

/** What the registry knows of what ships; nothing where it does not answer in time. */
function audit(): Audit {
  const { stdout } = spawnSync('npm', ['audit', '--omit=dev', '--json'], {
    encoding: 'utf8',
    timeout: LONGEST_MS,
  });
  try {
    return JSON.parse(stdout) as Audit;
  } catch {
    return {};
  }
}

/** Checks what ships: licences, pins, and advisories where the registry answers. */
const { packages } = read<{ packages: Record<string, LockedPackage> }>('package-lock.json');
const wanted = read<{ dependencies: Record<string, string>; devDependencies: Record<string, string> }>(
  'package.json',
);
const advisories = advisoryProblems(audit());
const problems = [
  ...licenceProblems(packages),
  ...unpinned({ ...wanted.dependencies, ...wanted.devDependencies }),
  ...(advisories ?? []),
];
for (const problem of problems) console.log(problem);
console.log(
  advisories === null
    ? 'advisories: the registry does not answer'
    : `advisories: ${advisories.length} that must not ship`,
);
process.exitCode = problems.length > 0 ? 1 : 0;
