'use client';
import { useColorScheme } from '@mui/material/styles';
import Link from 'next/link';
import type { Role } from '@/core/people/permission';
import { PersonMark } from '../people/person-mark';
import { usePathname } from 'next/navigation';
import {
  ChairIcon,
  FindingsIcon,
  HeadsIcon,
  MarkIcon,
  MoonIcon,
  PlanIcon,
  SetsIcon,
  ShelfIcon,
  StudioIcon,
  TodayIcon,
  WearIcon,
} from '../icons';
import { otherUnits, useUnits } from '../units-context';
import { PLACES } from './places-list';
import styles from './rail.module.css';

const ICONS = {
  today: TodayIcon,
  heads: HeadsIcon,
  plan: PlanIcon,
  chair: ChairIcon,
  findings: FindingsIcon,
  wear: WearIcon,
  sets: SetsIcon,
  shelf: ShelfIcon,
};

/** Navigation: a rail beside the work, a bar under it on a phone. */
export function Rail({
  role,
  person,
}: {
  /** What whoever looks may do here; null where nobody knows. */
  role: Role | null;
  /** Who signed in; null at the computer. */
  person: { readonly name: string; readonly colour: number } | null;
}) {
  const path = usePathname();
  const { units, setUnits } = useUnits();
  const { mode, systemMode, setMode } = useColorScheme();
  const isDark = (mode === 'system' ? systemMode : mode) === 'dark';
  const isHere = (href: string) => (href === '/' ? path === '/' : path.startsWith(href));
  return (
    <nav className={styles.rail} aria-label="Places">
      <Link href={role === 'assistant' ? '/chair' : '/'} className={styles.mark} aria-label="Keen Spiral">
        <MarkIcon />
      </Link>
      <ul className={styles.places}>
        {PLACES.filter(({ isForAll }) => isForAll || role !== 'assistant').map(({ href, label, icon }) => {
          const PlaceIcon = ICONS[icon];
          return (
            <li key={href}>
              <Link href={href} className={styles.place} aria-current={isHere(href) ? 'page' : undefined}>
                <PlaceIcon />
                <span>{label}</span>
              </Link>
            </li>
          );
        })}
      </ul>
      <div className={styles.settings}>
        <button
          type="button"
          className={styles.setting}
          onClick={() => setUnits(otherUnits(units))}
          aria-label={units.length === 'cm' ? 'cm, change to inches' : 'in, change to centimetres'}
        >
          {units.length}
        </button>
        {person && (
          <Link
            href="/me"
            className={styles.setting}
            aria-label={`${person.name}: you`}
            aria-current={isHere('/me') ? 'page' : undefined}
          >
            <PersonMark colour={person.colour} />
          </Link>
        )}
        {role === 'owner' && (
          <Link
            href="/studio"
            className={styles.setting}
            aria-label="Studio"
            aria-current={isHere('/studio') ? 'page' : undefined}
          >
            <StudioIcon width={20} height={20} />
          </Link>
        )}
        <button
          type="button"
          className={styles.setting}
          onClick={() => setMode(isDark ? 'light' : 'dark')}
          aria-label="Light or dark"
        >
          <MoonIcon width={20} height={20} />
        </button>
      </div>
    </nav>
  );
}
