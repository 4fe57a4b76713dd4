import { describe, expect, it } from 'vitest';
import { advisoryProblems, isAllowed, licenceProblems, unpinned } from './dependencies';

describe('what ships', () => {
  it('is under licences that can be kept to (SPDX expressions)', () => {
    for (const fine of [
      'MIT',
      '(MIT AND Zlib)',
      'MIT AND ISC AND BSD-3-Clause',
      'GPL-3.0-only OR MIT',
      'MPL-2.0',
    ])
      expect(isAllowed(fine), fine).toBe(true);
    for (const not of [
      'GPL-3.0-only',
      'AGPL-3.0-or-later',
      'MIT AND GPL-2.0-only',
      'UNLICENSED',
      'SEE LICENSE IN x',
    ])
      expect(isAllowed(not), not).toBe(false);
  });

  it('is told package by package; what only tests need is left out', () => {
    expect(
      licenceProblems({
        '': {},
        'node_modules/fine': { license: 'MIT' },
        'node_modules/a/node_modules/@b/c': { license: 'AGPL-3.0-or-later' },
        'node_modules/silent': {},
        'node_modules/only-here': { license: 'GPL-3.0-only', dev: true },
      }),
    ).toEqual([
      '@b/c is under AGPL-3.0-or-later, which is not among those that may ship',
      'silent names no licence; read it, and say so in scripts/dependencies.ts',
    ]);
  });

  it('is pinned to one version each', () => {
    expect(unpinned({ a: '1.2.3', b: '1.0.0-beta.2' })).toEqual([]);
    expect(unpinned({ a: '^1.2.3', b: 'latest', c: '1.x' })).toHaveLength(3);
  });

  it('has no high advisory; a registry that does not answer says nothing', () => {
    expect(advisoryProblems({})).toBeNull();
    expect(
      advisoryProblems({
        vulnerabilities: { a: { severity: 'moderate' }, b: { severity: 'critical', range: '<2' } },
      }),
    ).toEqual(['b <2: critical advisory']);
  });
});
