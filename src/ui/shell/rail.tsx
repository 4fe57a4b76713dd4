'use client';
import { useColorScheme } from '@mui/material/styles';
import Link from '@/ui/shell/link';
import type { Role } from '@/core/people/permission';
import { PersonMark } from '../people/person-mark';
import { usePathname } from 'next/navigation';
import { MarkIcon, MoonIcon, StudioIcon } from '../icons';
import { otherUnits, useUnits } from '../units-context';
import { PlaceIcon } from './place-icon';
import { PLACES } from './places-list';
import { RailMore } from './rail-more';
import styles from './rail.module.css';

/** As many places as fit under a thumb; the rest of them are behind one more. */
const MOST_ON_A_PHONE = 5;

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
  const places = PLACES.filter(({ isForAll }) => isForAll || role !== 'assistant');
  const changeUnits = () => setUnits(otherUnits(units));
  const changeLight = () => setMode(isDark ? 'light' : 'dark');
  return (
    <nav className={styles.rail} aria-label="Places">
      <Link href={role === 'assistant' ? '/chair' : '/'} className={styles.mark} aria-label="Keen Spiral">
        <MarkIcon />
      </Link>
      <ul className={styles.places}>
        {places.map(({ href, label, icon }, index) => (
          <li key={href} className={index < MOST_ON_A_PHONE ? undefined : styles.beyond}>
            <Link href={href} className={styles.place} aria-current={isHere(href) ? 'page' : undefined}>
              <PlaceIcon icon={icon} />
              <span>{label}</span>
            </Link>
          </li>
        ))}
      </ul>
      <div className={styles.settings}>
        <button
          type="button"
          className={styles.setting}
          onClick={changeUnits}
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
        <button type="button" className={styles.setting} onClick={changeLight} aria-label="Light or dark">
          <MoonIcon width={20} height={20} />
        </button>
      </div>
      <RailMore
        places={places.slice(MOST_ON_A_PHONE)}
        person={person}
        isOwner={role === 'owner'}
        isHere={isHere}
        units={units}
        changeUnits={changeUnits}
        isDark={isDark}
        changeLight={changeLight}
      />
    </nav>
  );
}
