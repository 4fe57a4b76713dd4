'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { fates } from '@/core/take-home/taken-in';
import { endReasons } from '@/core/wear/end-reasons';
import { ratingScales } from '@/core/wear/rating-scales';
import { formatIndex, formatLocalDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { readHomeDiary, takeHomeDiaryIn } from './actions';
import { CodeReader, codeInPicture } from './read-codes';
import { useCamera } from './use-camera';
import styles from './bring-back.module.css';

type Read = Extract<Awaited<ReturnType<typeof readHomeDiary>>, { ok: true }>['value'];

const HALF_WORDS = { whole: '', left: ', left half', right: ', right half' } as const;
/** A camera is looked through so often, ms. */
const LOOK_EVERY_MS = 250;

/** Brings a take-home diary back: by camera, from a picture, as a file or as text; every entry with what becomes of it. */
export function BringBackDialog({
  setId,
  clock,
  onClose,
}: {
  readonly setId: string;
  readonly clock: Clock;
  readonly onClose: () => void;
}) {
  const [text, setText] = useState('');
  const [read, setRead] = useState<Read | null>(null);
  const [seen, setSeen] = useState<string | null>(null);
  const [isCamera, setCamera] = useState(false);
  const codes = useRef(new CodeReader());
  const file = useRef<HTMLInputElement>(null);
  const { run, isBusy, problem } = useAction();
  const look = (words: string) => {
    setText(words);
    setRead(null);
    void run(() => readHomeDiary({ setId, text: words }), setRead);
  };
  const onCode = (found: string | null): boolean => {
    const whole = found === null ? null : codes.current.take(found);
    if (whole) {
      setCamera(false);
      setSeen(null);
      look(whole);
      return true;
    }
    const { missing } = codes.current;
    if (missing !== null && missing > 0)
      setSeen(`Read. ${missing === 1 ? 'One more code' : `${missing} more codes`} of this diary.`);
    return false;
  };
  const onFiles = async (chosen: readonly File[]) => {
    setSeen(null);
    for (const one of chosen) {
      if (one.type.startsWith('image/')) {
        try {
          const bitmap = await createImageBitmap(one);
          const code = await codeInPicture(bitmap, bitmap.width, bitmap.height);
          if (code === null)
            setSeen('No code was found in this picture: take it straight on, all of it, in good light.');
          else if (!onCode(code) && codes.current.missing === null) setSeen('This code is none of a diary.');
        } catch {
          setSeen('This picture cannot be read; send a JPEG or PNG.');
        }
      } else look(await one.text());
    }
  };
  const taken = read?.days.filter(({ fate }) => fates[fate].isTaken).length ?? 0;
  const ends = read?.ends.filter(({ fate }) => fates[fate].isTaken).length ?? 0;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Bring a diary back</DialogTitle>
      <DialogContent className={styles.dialog}>
        <div className={styles.ways}>
          {'mediaDevices' in navigator && (
            <Button variant="outlined" onClick={() => setCamera(!isCamera)}>
              {isCamera ? 'Close the camera' : 'Read the code'}
            </Button>
          )}
          <Button variant="outlined" onClick={() => file.current?.click()}>
            A picture or a file
          </Button>
          <input
            ref={file}
            type="file"
            accept="image/*,text/plain,.txt"
            multiple
            hidden
            onChange={(event) => {
              const chosen = [...(event.target.files ?? [])];
              event.target.value = '';
              void onFiles(chosen);
            }}
          />
        </div>
        {isCamera && <CodeCamera onCode={onCode} />}
        <TextField
          label="Or paste its text"
          multiline
          minRows={2}
          maxRows={5}
          fullWidth
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setRead(null);
          }}
        />
        {!read && (
          <Button disabled={isBusy || text.trim() === ''} onClick={() => look(text)}>
            Look what is in it
          </Button>
        )}
        <div role="status">
          {seen}
          {problem}
        </div>
        {read && (
          <>
            <p className={styles.by}>{read.by ? `Rated by ${read.by}.` : 'Nobody says who rated.'}</p>
            <ul className={styles.rows}>
              {read.days.map(({ date, half, fate, ratings }) => (
                <li key={`${date}/${half}/${fate}`} data-taken={fates[fate].isTaken}>
                  <b>
                    {formatLocalDay(date, clock)}
                    {HALF_WORDS[half]}
                  </b>
                  <span>
                    {ratingScales
                      .flatMap(({ id, label }) =>
                        ratings[id] === undefined
                          ? []
                          : [`${label.toLowerCase()} ${formatIndex(ratings[id])}`],
                      )
                      .join(', ')}
                  </span>
                  <small>{fates[fate].label}</small>
                </li>
              ))}
              {read.ends.map(({ date, half, fate, reason }) => (
                <li key={`end/${half}`} data-taken={fates[fate].isTaken}>
                  <b>It is over{HALF_WORDS[half]}</b>
                  <span>
                    last good day {formatLocalDay(date, clock)}
                    {reason && `, ${endReasons[reason].label.toLowerCase()}`}
                  </span>
                  <small>{fates[fate].label}</small>
                </li>
              ))}
            </ul>
            {read.days.length + read.ends.length === 0 && <p>Nothing is written in it yet.</p>}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button
          variant="contained"
          disabled={isBusy || taken + ends === 0}
          onClick={() =>
            void run(
              () => takeHomeDiaryIn({ setId, text }),
              // Days that stand open here are read anew with all the rest.
              () => location.reload(),
            )
          }
        >
          {taken + ends === 0 ? 'Nothing to take in' : 'Take it in'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** What the camera sees, looked through for a code a few times a second. */
function CodeCamera({ onCode }: { readonly onCode: (code: string | null) => boolean }) {
  const { video, isReady, problem } = useCamera('choose a picture');
  const hear = useRef(onCode);
  useEffect(() => {
    hear.current = onCode;
  }, [onCode]);
  useEffect(() => {
    const seen = video.current;
    if (!isReady || !seen) return;
    let timer: ReturnType<typeof setTimeout> | null = null;
    let isGone = false;
    const look = async () => {
      const code = await codeInPicture(seen, seen.videoWidth, seen.videoHeight);
      if (isGone || (code !== null && hear.current(code))) return;
      timer = setTimeout(() => void look(), LOOK_EVERY_MS);
    };
    void look();
    return () => {
      isGone = true;
      if (timer) clearTimeout(timer);
    };
  }, [isReady, video]);
  return (
    <div className={styles.camera}>
      <video ref={video} muted playsInline aria-label="What the camera sees" />
      {problem && <p role="alert">{problem}</p>}
    </div>
  );
}
