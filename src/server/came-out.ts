import type { CameOut } from '@/core/round/came-out';
import type { findSet } from './db/rows/sets';

type FoundSet = NonNullable<Awaited<ReturnType<typeof findSet>>>;

/** How a set came out: how it was taken down, and what was rated since. */
export const cameOutOf = ({
  asTakenDown,
  wearDays,
}: Pick<FoundSet, 'asTakenDown' | 'wearDays'>): CameOut => ({
  takenDown: asTakenDown,
  rated: wearDays.map(({ day, half, ratings: { definition, frizz, volume } }) => ({
    day,
    half,
    definition: definition ?? null,
    frizz: frizz ?? null,
    volume: volume ?? null,
  })),
});
