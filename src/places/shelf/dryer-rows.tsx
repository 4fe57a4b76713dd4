'use client';
import Link from '@/ui/shell/link';
import { DRYER_LABEL, type DryerKind } from '@/core/drying-methods/method';
import { formatTemperature } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import type { Shelf } from './shelf-types';
import styles from './shelf-page.module.css';

/** Every fan, hood and diffuser, and how many there are. */
export function DryerRows({ dryers }: Pick<Shelf, 'dryers'>) {
  const { units } = useUnits();
  if (dryers.length === 0)
    return <p className={styles.quiet}>None yet. Drying steps then count on machines like most.</p>;
  return (
    <ul className={styles.dryers}>
      {dryers.map(({ id, kind, name, airSpeedMS, airC, count }) => (
        <li key={id}>
          <Link href={`/shelf/dryers/${id}`}>{name}</Link>
          <span>
            {DRYER_LABEL[kind as DryerKind].toLowerCase()}, {airSpeedMS} m/s
            {airC === null ? '' : `, ${formatTemperature(airC, units)}`}
          </span>
          <strong>{count}</strong>
        </li>
      ))}
    </ul>
  );
}
