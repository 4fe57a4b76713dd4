'use client';
import Link from '@/ui/shell/link';
import type { Usefulness } from '@/core/suggest/most-useful';
import { MEASURING } from '@/places/heads/measuring';
import { formatChance } from '@/ui/format';
import styles from './first-draft.module.css';

const days = ([low, high]: readonly [number, number]) => {
  const [from, to] = [Math.round(low), Math.round(high)];
  return from === to ? `${from} days` : `${from} to ${to} days`;
};

/** What nobody measured yet that would tell most about this draft. */
export function UsefulNote({
  headId,
  useful,
  isTimed,
}: {
  headId: string;
  useful: readonly Usefulness[];
  isTimed: boolean;
}) {
  const [first] = useful;
  if (!first) return null;
  const { name, how } = MEASURING[first.field];
  const spread =
    first.days[1] - first.days[0] >= 0.8 ? `As long as nobody knows it, this lasts ${days(first.days)}` : '';
  const chance =
    isTimed && first.chance && first.chance[1] - first.chance[0] >= 0.1
      ? `${spread ? ', and is' : 'As long as nobody knows it, it is'} between ${formatChance(first.chance[0])} and ${formatChance(first.chance[1])} sure to be dry`
      : '';
  return (
    <aside className={styles.useful}>
      <h2>What would help most: {name}</h2>
      <p>
        {how} {spread || chance ? `${spread}${chance}.` : ''}
      </p>
      <Link href={`/heads/${headId}/measure?at=${first.field}`}>Look and measure</Link>
    </aside>
  );
}
