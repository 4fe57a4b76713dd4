import { describe, expect, it } from 'vitest';
import { permissions, type Permission } from '@/core/people/permission';
import { subjectOf } from './subject';

describe('what an action was done to', () => {
  it('goes by the name of its number: what was given before what came of it, a set before its plan', () => {
    expect(subjectOf('write-sets', { setId: 's' }, { planId: 'p' })).toEqual({ kind: 'set', id: 's' });
    expect(subjectOf('write-plans', { planId: 'given' }, { planId: 'made' })).toEqual({
      kind: 'plan',
      id: 'given',
    });
    expect(subjectOf('people', { personId: 'a', deviceId: 'b' }, null)).toEqual({ kind: 'person', id: 'a' });
    expect(subjectOf('write-heads', { name: 'New' }, { headId: 'h' })).toEqual({ kind: 'head', id: 'h' });
  });

  it('goes by what is done where a number has no name of its own', () => {
    const kinds = (Object.keys(permissions) as Permission[]).map(
      (permission) => subjectOf(permission, { id: 'x' }, undefined)?.kind ?? null,
    );
    expect(new Set(kinds)).toEqual(new Set([null, 'head', 'plan', 'set', 'shelf']));
    expect(subjectOf('studio', { id: 'x' }, undefined)).toBeNull();
  });

  it('is the studio itself where nothing is named, and no number at all where one is spoilt', () => {
    for (const given of [null, undefined, 'words', 7, [], {}, { setId: null }, { id: 4 }])
      expect(subjectOf('write-sets', given, given)).toBeNull();
  });
});
