'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useRef, useState, useSyncExternalStore } from 'react';
import {
  MOST_PHOTOS_A_DAY,
  PHOTO_VIEW_IDS,
  photoViews,
  type PhotoFacts,
  type PhotoViewId,
} from '@/core/diary/photo';
import type { KeptMeasure } from '@/core/diary/photo-measure';
import { refusals } from '@/core/photo/refusal';
import { sameView } from '@/core/photo/same-view';
import type { PerZone } from '@/core/hair/zone';
import { sentence } from '@/core/words/words';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { Chip, Chips } from './chips';
import { photoAddress } from './photo-address';
import styles from './photos.module.css';

/** The camera comes when it is asked for. */
const CameraDialog = dynamic(() => import('./camera-dialog').then((module) => module.CameraDialog), {
  ssr: false,
});

/** So does measuring. */
const MeasureDialog = dynamic(() => import('./measure-dialog').then((module) => module.MeasureDialog), {
  ssr: false,
});

const never = () => () => undefined;
/** Cameras are only given to pages of this computer or of a secure address. */
const seesCamera = () => navigator.mediaDevices !== undefined;

/** Whether a picture is of the same view as the one before it, once both are marked; empty where they are not. */
function viewWords(photo: PhotoFacts, photos: readonly PhotoFacts[]): string {
  const before = photos.findLast(
    ({ view, day, marks }) => view === photo.view && day < photo.day && marks !== null,
  );
  if (!photo.marks || !before?.marks) return '';
  const [[ax, ay], [bx, by]] = before.marks as [[number, number], [number, number]];
  const same = sameView(before.marks, photo.marks, Math.hypot(bx - ax, by - ay));
  return same.ok ? `the same view as day ${before.day}` : refusals[same.refusal];
}

/** Pictures of one day: taken here where there is a camera, or chosen; deleted for good. */
export function Photos({
  setId,
  date,
  day,
  photos,
  stretchedCm,
  onChange,
  onMeasured,
}: {
  readonly setId: string;
  readonly date: string;
  readonly day: number;
  /** All of the set; those of before are the ghosts to take the same view by. */
  readonly photos: readonly PhotoFacts[];
  readonly stretchedCm: PerZone<number>;
  readonly onChange: (photos: readonly PhotoFacts[]) => void;
  readonly onMeasured: (measured: readonly KeptMeasure[]) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  const [view, setView] = useState<PhotoViewId>('front');
  const [isCamera, setCamera] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [measuring, setMeasuring] = useState<PhotoFacts | null>(null);
  const [leaving, setLeaving] = useState<PhotoFacts | null>(null);
  const ofDay = photos.filter((photo) => photo.day === day);
  const ghost = photos.findLast((photo) => photo.view === view && photo.day < day) ?? null;
  const hasCamera = useSyncExternalStore(never, seesCamera, () => false);

  const send = async (picture: Blob) => {
    setBusy(true);
    setProblem(null);
    try {
      const answer = await fetch(`/api/v1/sets/${setId}/photos?date=${date}&view=${view}`, {
        method: 'POST',
        headers: { 'content-type': picture.type || 'application/octet-stream' },
        body: picture,
      });
      const told = (await answer.json()) as {
        photo?: PhotoFacts;
        title?: string;
        errors?: { message: string }[];
      };
      if (told.photo) onChange([...photos, told.photo].sort((a, b) => a.day - b.day));
      else setProblem(sentence(told.errors?.[0]?.message ?? told.title ?? 'it could not be kept'));
    } catch {
      setProblem('No connection. The picture is not kept; try again.');
    } finally {
      setBusy(false);
    }
  };
  const remove = async ({ id }: PhotoFacts) => {
    setLeaving(null);
    try {
      const answer = await fetch(photoAddress(id, 'jpeg'), { method: 'DELETE' });
      // Gone already is gone.
      if (answer.ok || answer.status === 404) onChange(photos.filter((photo) => photo.id !== id));
      else setProblem('It could not be deleted; try again.');
    } catch {
      setProblem('No connection. It is still there; try again.');
    }
  };
  return (
    <section className={styles.photos} aria-label="Photos">
      <Chips title="Photos">
        {PHOTO_VIEW_IDS.map((id) => (
          <Chip key={id} isOn={id === view} onToggle={() => setView(id)}>
            {photoViews[id].label}
          </Chip>
        ))}
      </Chips>
      {ofDay.length > 0 && (
        <ul className={styles.list}>
          {ofDay.map((photo) => (
            <li key={photo.id}>
              <a href={photoAddress(photo.id, 'jpeg')} target="_blank" rel="noreferrer">
                {/* eslint-disable-next-line @next/next/no-img-element -- of this studio alone, never through a cache */}
                <img
                  src={photoAddress(photo.id, 'thumb')}
                  alt={`${photoViews[photo.view].label}, day ${photo.day}`}
                  width={96}
                  height={96}
                />
              </a>
              {viewWords(photo, photos) && <small>{viewWords(photo, photos)}</small>}
              <Button
                size="small"
                aria-label={`Measure on ${photoViews[photo.view].label}, day ${photo.day}`}
                onClick={() => setMeasuring(photo)}
              >
                Measure
              </Button>
              <Button
                size="small"
                aria-label={`Delete ${photoViews[photo.view].label}, day ${photo.day}`}
                onClick={() => setLeaving(photo)}
              >
                Delete
              </Button>
            </li>
          ))}
        </ul>
      )}
      {ofDay.length < MOST_PHOTOS_A_DAY ? (
        <div className={styles.add}>
          {hasCamera && (
            <Button variant="outlined" disabled={isBusy} onClick={() => setCamera(true)}>
              Take one
            </Button>
          )}
          <Button variant="outlined" disabled={isBusy} onClick={() => file.current?.click()}>
            {isBusy ? 'Keeping it…' : 'Choose a file'}
          </Button>
          <input
            ref={file}
            type="file"
            accept="image/*"
            hidden
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = '';
              if (chosen) void send(chosen);
            }}
          />
        </div>
      ) : (
        <p className={styles.hint}>A day holds {MOST_PHOTOS_A_DAY} pictures.</p>
      )}
      {problem && (
        <p className={styles.problem} role="alert">
          {problem}
        </p>
      )}
      <p className={styles.hint}>
        Kept here alone, without place or device. Same light, same distance, same spot.
      </p>
      {isCamera && (
        <CameraDialog
          view={photoViews[view].label}
          ghost={ghost && photoAddress(ghost.id, 'jpeg')}
          onTake={(blob) => {
            setCamera(false);
            void send(blob);
          }}
          onClose={() => setCamera(false)}
        />
      )}
      {measuring && (
        <MeasureDialog
          photo={measuring}
          stretchedCm={stretchedCm}
          onMarked={(marks) =>
            onChange(photos.map((photo) => (photo.id === measuring.id ? { ...photo, marks } : photo)))
          }
          onKept={onMeasured}
          onClose={() => setMeasuring(null)}
        />
      )}
      {leaving && (
        <ConfirmDialog
          title="Delete this picture for good?"
          confirm="Delete it"
          onConfirm={() => void remove(leaving)}
          onCancel={() => setLeaving(null)}
        >
          It cannot be brought back. Copies of the data that were taken before still hold it.
        </ConfirmDialog>
      )}
    </section>
  );
}
