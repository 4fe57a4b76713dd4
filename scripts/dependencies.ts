/** Licences that what ships may have: those that ask for no more than to be named, and those whose works are used unchanged. */
const ALLOWED: readonly string[] = [
  'MIT', 'ISC', '0BSD', 'BSD-2-Clause', 'BSD-3-Clause', 'Apache-2.0', 'Zlib',
  // Fonts, and a table of data.
  'OFL-1.1', 'CC-BY-4.0',
  // Used as they are, and loaded beside our own code.
  'MPL-2.0', 'LGPL-3.0-or-later',
]; // prettier-ignore

/** Read by hand where the name of the licence cannot be read by a program. */
const READ: Readonly<Record<string, string>> = {
  'dejavu-fonts-ttf': 'the free licence of its fonts, in its README',
  'splaytree-ts': 'BSD-3-Clause, misspelt',
};

/** Whether an SPDX expression can be kept to: all of what is joined by AND, one of what is joined by OR. */
export const isAllowed = (licence: string): boolean =>
  licence
    .replace(/[()]/g, '')
    .split(' OR ')
    .some((choice) => choice.split(' AND ').every((part) => ALLOWED.includes(part.trim())));

/** What a lock file says of a package. */
export interface LockedPackage {
  readonly version?: string;
  readonly license?: string;
  readonly dev?: boolean;
}

/** What is wrong with the packages that ship, a line each. */
export function licenceProblems(packages: Readonly<Record<string, LockedPackage>>): string[] {
  return Object.entries(packages).flatMap(([path, { license, dev }]) => {
    const name = path.split('node_modules/').at(-1)!;
    if (path === '' || dev || name in READ) return [];
    if (!license) return [`${name} names no licence; read it, and say so in scripts/dependencies.ts`];
    return isAllowed(license) ? [] : [`${name} is under ${license}, which is not among those that may ship`];
  });
}

/** Dependencies that are not pinned to one version, a line each. */
export const unpinned = (wanted: Readonly<Record<string, string>>): string[] =>
  Object.entries(wanted).flatMap(([name, version]) =>
    /^\d+\.\d+\.\d+(-[\w.]+)?$/.test(version) ? [] : [`${name} is “${version}”; pin one version`],
  );

/** A report of known advisories, as `npm audit --json` writes it. */
export interface Audit {
  readonly vulnerabilities?: Readonly<Record<string, { readonly severity: string; readonly range?: string }>>;
}

/** Advisories that must not ship, a line each; null where the registry did not answer. */
export function advisoryProblems({ vulnerabilities }: Audit): string[] | null {
  if (!vulnerabilities) return null;
  return Object.entries(vulnerabilities).flatMap(([name, { severity, range }]) =>
    severity === 'high' || severity === 'critical' ? [`${name} ${range ?? ''}: ${severity} advisory`] : [],
  );
}
