import { formatDays } from '@/ui/format';

/** Where a set stands, as a list says it. */
export const stageWords = (set: {
  readonly cancelledAtMs: number | null;
  readonly endedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly installedAtMs: number | null;
  readonly lastGoodDay: number | null;
}): string =>
  set.cancelledAtMs !== null
    ? 'cancelled'
    : set.endedAtMs !== null
      ? `lasted ${formatDays(set.lastGoodDay ?? 0)}`
      : set.takenDownAtMs !== null
        ? 'being worn'
        : set.installedAtMs !== null
          ? 'drying'
          : 'in the chair';
