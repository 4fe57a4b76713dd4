'use client';
import { useState } from 'react';
import { PHOTO_VIEW_IDS, photoViews, type PhotoFacts, type PhotoViewId } from '@/core/diary/photo';
import { Chip, Chips } from './chips';
import { photoAddress } from './photo-address';
import styles from './photo-story.module.css';

/** Pictures of one view day by day: a later one wiped over the first, and a slider through the days. */
export function PhotoStory({ photos }: { readonly photos: readonly PhotoFacts[] }) {
  const views = PHOTO_VIEW_IDS.filter((view) => photos.some((photo) => photo.view === view));
  const [chosen, setChosen] = useState<PhotoViewId>(views[0] ?? 'front');
  const view = views.includes(chosen) ? chosen : (views[0] ?? 'front');
  const own = photos.filter((photo) => photo.view === view);
  const [at, setAt] = useState(Infinity);
  const [wipe, setWipe] = useState(50);
  const first = own[0];
  const last = own[Math.min(at, own.length - 1)];
  if (!first || !last) return null;
  const name = photoViews[view].label;
  return (
    <div className={styles.story}>
      <Chips title="View">
        {views.map((id) => (
          <Chip key={id} isOn={id === view} onToggle={() => setChosen(id)}>
            {photoViews[id].label}
          </Chip>
        ))}
      </Chips>
      <div className={styles.frame}>
        {/* eslint-disable @next/next/no-img-element -- of this studio alone, never through a cache */}
        <img src={photoAddress(first.id, 'jpeg')} alt={`${name}, day ${first.day}`} />
        {last.id !== first.id && (
          <img
            src={photoAddress(last.id, 'jpeg')}
            alt={`${name}, day ${last.day}`}
            style={{ clipPath: `inset(0 0 0 ${wipe}%)` }}
          />
        )}
        {/* eslint-enable @next/next/no-img-element */}
        <span className={styles.left}>day {first.day}</span>
        {last.id !== first.id && <span className={styles.right}>day {last.day}</span>}
      </div>
      {last.id !== first.id && (
        <label className={styles.slider}>
          Before and after
          <input
            type="range"
            min={0}
            max={100}
            value={wipe}
            aria-valuetext={`${wipe} % of day ${first.day}, the rest of day ${last.day}`}
            onChange={(event) => setWipe(Number(event.target.value))}
          />
        </label>
      )}
      {own.length > 1 && (
        <label className={styles.slider}>
          Day
          <input
            type="range"
            min={1}
            max={own.length - 1}
            value={Math.min(at, own.length - 1)}
            aria-valuetext={`day ${last.day}`}
            onChange={(event) => setAt(Number(event.target.value))}
          />
        </label>
      )}
    </div>
  );
}
