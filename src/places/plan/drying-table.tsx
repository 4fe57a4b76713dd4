'use client';
import { dryness } from '@/core/coefficients/drying';
import type { DryingWay } from '@/core/plan/drying-ways';
import { formatDryHours } from '@/ui/format';
import styles from './drying-table.module.css';

/** How sure a way is by takedown, in words and a mark. */
function verdictOf(chance: number | null): {
  readonly mark: string;
  readonly words: string;
  readonly tone: string;
} {
  if (chance === null) return { mark: '', words: '', tone: 'plain' };
  if (chance >= dryness.value.sure) return { mark: '✓', words: 'surely in time', tone: 'good' };
  const tenths = Math.round(chance * 10);
  return tenths <= 1
    ? { mark: '✕', words: 'too late', tone: 'bad' }
    : { mark: '', words: `${tenths} in 10 in time`, tone: 'plain' };
}

/** One line for each way to dry this set on this hair: the middle, when it is surely dry, and whether that is in time. */
export function DryingTable({ ways, isTimed }: { ways: readonly DryingWay[]; isTimed: boolean }) {
  return (
    <table className={styles.table}>
      <caption>Drying for this hair and this set, if nothing else dries it</caption>
      <thead>
        <tr>
          <th scope="col">by</th>
          <th scope="col">dry after</th>
          <th scope="col">surely</th>
          {isTimed && <th scope="col">by takedown</th>}
        </tr>
      </thead>
      <tbody>
        {ways.map(({ id, label, dryAfterH, sureAfterH, chance }) => {
          const { mark, words, tone } = verdictOf(chance);
          return (
            <tr key={id}>
              <th scope="row">{label}</th>
              <td>{formatDryHours(dryAfterH)}</td>
              <td>{formatDryHours(sureAfterH)}</td>
              {isTimed && (
                <td className={styles[tone]}>
                  {mark} {words}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
