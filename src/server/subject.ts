import type { Permission } from '@/core/people/permission';
import type { Subject } from './db/rows/deeds';

/** What something can be done to, by the name its number goes by. */
const KINDS: readonly (readonly [field: string, kind: string])[] = [
  ['setId', 'set'],
  ['planId', 'plan'],
  ['headId', 'head'],
  ['productId', 'product'],
  ['personId', 'person'],
  ['deviceId', 'device'],
];

/** What a number is of that goes by no name of its own, by what is done. */
const USUALLY: Partial<Record<Permission, string>> = {
  'write-heads': 'head',
  'write-plans': 'plan',
  'write-sets': 'set',
  records: 'head',
  'write-shelf': 'shelf',
};

/** What an action was done to, by what it was given and what came of it; null where it is the studio itself. */
export function subjectOf(permission: Permission, input: unknown, value: unknown): Subject | null {
  const fields = { ...(value as object | null), ...(input as object | null) } as Record<string, unknown>;
  for (const [field, kind] of KINDS) {
    const id = fields[field];
    if (typeof id === 'string') return { kind, id };
  }
  const kind = USUALLY[permission];
  return kind !== undefined && typeof fields.id === 'string' ? { kind, id: fields.id } : null;
}
