'use client';
import Link from '@/ui/shell/link';
import { PHOTO_VIEW_IDS, photoViews } from '@/core/diary/photo';
import { plural } from '@/core/words/words';
import { photoAddress } from '../wear/photo-address';
import type { loadHead } from './queries';
import styles from './head-page.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;

/** Pictures that stand side by side. */
const SHOWN = 3;

/** The last pictures, of the view that was taken most: days of one look beside each other. */
export function Pictures({ pictures: { photos, total } }: Pick<Loaded, 'pictures'>) {
  const most = [...PHOTO_VIEW_IDS].sort(
    (a, b) => photos.filter(({ view }) => view === b).length - photos.filter(({ view }) => view === a).length,
  )[0]!;
  const own = photos.filter(({ view }) => view === most).slice(-SHOWN);
  if (own.length === 0) return <p className={styles.line}>None yet. They are taken with the days of wear.</p>;
  return (
    <>
      <p className={styles.line}>
        {photoViews[most].label}; {plural(total, 'picture')} in all
      </p>
      <ul className={styles.pictures}>
        {own.map(({ id, day, setId }) => (
          <li key={id}>
            <Link href={`/sets/${setId}`}>
              {/* eslint-disable-next-line @next/next/no-img-element -- of this studio alone, never through a cache */}
              <img
                src={photoAddress(id, 'thumb')}
                alt={`${photoViews[most].label}, day ${day}`}
                width={96}
                height={112}
              />
              day {day}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
