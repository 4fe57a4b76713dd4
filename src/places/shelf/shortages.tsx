'use client';
import Link from '@/ui/shell/link';
import { formatMoment } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { shortageWords } from './shortage-words';
import type { Shelf } from './shelf-types';
import styles from './shelf-page.module.css';

/** What booked sets will find missing; nothing where there is enough for all of them. */
export function Shortages({ booked, clock }: Pick<Shelf, 'booked' | 'clock'>) {
  const { units } = useUnits();
  const missing = booked
    .map((plan) => ({ plan, words: shortageWords(plan.check, plan.sections, units) }))
    .filter(({ words }) => words.length > 0);
  if (missing.length === 0) return null;
  return (
    <section className={styles.short} aria-label="Running short">
      <h2>Running short</h2>
      <ul>
        {missing.map(({ plan, words }) => (
          <li key={plan.id}>
            <Link href={`/plan/${plan.id}`}>
              {plan.headName}, {plan.title}
            </Link>
            {plan.readyMs !== null && <span> for {formatMoment(plan.readyMs, clock)}</span>}
            <div>{words.join(' ')}</div>
          </li>
        ))}
      </ul>
    </section>
  );
}
