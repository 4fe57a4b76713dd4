import Link from '@/ui/shell/link';
import { permissions, type Permission } from '@/core/people/permission';
import type { Clock } from '@/core/formats/display';
import { formatWhen } from '@/ui/format';
import styles from './people.module.css';
import type { loadPeople } from './queries';

type Deed = Awaited<ReturnType<typeof loadPeople>>['deeds'][number];

/** Where what was done can be looked at. */
const PATHS: Readonly<Record<string, string>> = { head: '/heads', plan: '/plan', set: '/sets' };

const deedWords = ({ permission, kind, subjectId }: Deed) => {
  const words = (permission in permissions && permissions[permission as Permission].done) || permission;
  const path = kind === null ? undefined : PATHS[kind];
  return path && subjectId ? <Link href={`${path}/${subjectId}`}>{words}</Link> : words;
};

/** What was done lately, and by whom. */
export function Deeds({ deeds, clock, nowMs }: { deeds: readonly Deed[]; clock: Clock; nowMs: number }) {
  if (deeds.length === 0) return <p className={styles.soft}>Nothing yet.</p>;
  return (
    <ul className={styles.list} aria-label="Who did what">
      {deeds.map((deed) => (
        <li key={deed.id}>
          <span className={styles.when}>{formatWhen(deed.atMs, clock, nowMs)}</span>
          <span className={styles.who}>
            {deed.who} {deedWords(deed)}
            {deed.on && <small>on {deed.on}</small>}
          </span>
        </li>
      ))}
    </ul>
  );
}
