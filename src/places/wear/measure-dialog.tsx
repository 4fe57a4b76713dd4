'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useRef, useState } from 'react';
import { worseWords, type KeptMeasure, type PhotoMeasure } from '@/core/diary/photo-measure';
import { photoViews, type PhotoFacts, type ViewMarks } from '@/core/diary/photo';
import { ZONE_LABEL, ZONES, type PerZone, type Zone } from '@/core/hair/zone';
import type { AskedMeasure, ScaleBy } from '@/core/photo/measure';
import type { Point } from '@/core/photo/picture';
import { BAR_MM } from '@/core/photo/reference';
import { refusals, type Measuring } from '@/core/photo/refusal';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { useAction } from '@/ui/hooks/use-action';
import { useUnits } from '@/ui/units-context';
import type { Measurer } from '@/workers/client';
import type { ScaleSeen } from '@/workers/photo.worker';
import { keepMarks, keepMeasures } from './actions';
import { Chip, Chips } from './chips';
import { MeasurePad } from './measure-pad';
import { measureWords } from './measure-words';
import { photoAddress } from './photo-address';
import styles from './measure.module.css';

const SCALES = {
  'own-card': {
    label: 'Our printed card',
    hint: 'Lay the card flat against the hair, all four squares in the picture. It is found by itself.',
    points: 0,
  },
  'bank-card': {
    label: 'A bank card',
    hint: 'Tap its four corners, where the straight edges would meet.',
    points: 4,
  },
  ruler: { label: 'A ruler', hint: 'Tap two marks far apart, and say how far.', points: 2 },
  'head-width': {
    label: 'None',
    hint: 'Tap both sides of the head, above the ears. Only the outline is told then, in head widths.',
    points: 2,
  },
} as const;
type ScaleId = keyof typeof SCALES;
const SCALE_IDS = Object.keys(SCALES) as ScaleId[];

const TASKS = {
  curl: {
    label: 'One curl',
    hint: 'Drag along one hanging curl, two turns of it or more.',
    points: 2,
    least: 2,
  },
  length: {
    label: 'Length',
    hint: 'Tap along the hair from its root to its tip; a bend takes more points.',
    points: 12,
    least: 2,
  },
  definition: { label: 'Definition', hint: 'Drag a box over hair and nothing else.', points: 2, least: 2 },
  view: {
    label: 'Same view',
    hint: 'Tap four places: the top of the left ear, of the right ear, the middle of the hairline, the chin.',
    points: 4,
    least: 4,
  },
  outline: { label: 'Outline and frizz', hint: 'Tap the wall, and then the hair.', points: 2, least: 2 },
} as const;
type TaskId = keyof typeof TASKS;
const TASK_IDS = Object.keys(TASKS) as TaskId[];

/** How far to either side of a dragged line a curl is looked for at first, as a share of the line. */
const USUAL_SIDE = 0.14;

/** Pixels of a kept picture. */
async function pixelsOf(address: string) {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`the picture answered ${answer.status}`);
  const bitmap = await createImageBitmap(await answer.blob());
  const canvas = document.createElement('canvas');
  canvas.width = bitmap.width;
  canvas.height = bitmap.height;
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  return { data, width, height };
}

/** Measures on one picture: first what tells its size, then one thing after the other. */
export function MeasureDialog({
  photo,
  stretchedCm,
  onMarked,
  onKept,
  onClose,
}: {
  readonly photo: PhotoFacts;
  readonly stretchedCm: PerZone<number>;
  readonly onMarked: (marks: ViewMarks) => void;
  readonly onKept: (kept: readonly KeptMeasure[]) => void;
  readonly onClose: () => void;
}) {
  const isNarrow = useMediaQuery('(max-width: 700px)');
  const { units } = useUnits();
  const measurer = useRef<Measurer | null>(null);
  const [scaleId, setScaleId] = useState<ScaleId>('own-card');
  const [barMm, setBarMm] = useState<number>(BAR_MM.printed);
  const [rulerMm, setRulerMm] = useState(100);
  const [scale, setScale] = useState<{ readonly by: ScaleBy; readonly seen: ScaleSeen } | null>(null);
  const [task, setTask] = useState<TaskId>('curl');
  const [zone, setZone] = useState<Zone>('crown');
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [side, setSide] = useState<number | null>(null);
  const [zoom, setZoom] = useState(1);
  const [isWorking, setWorking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [found, setFound] = useState<readonly PhotoMeasure[]>([]);
  const keeping = useAction();
  useEffect(() => () => measurer.current?.end(), []);

  const opened = async (): Promise<Measurer> => {
    if (measurer.current) return measurer.current;
    const pixels = await pixelsOf(photoAddress(photo.id, 'jpeg'));
    const { startMeasurer } = await import('@/workers/client');
    measurer.current = startMeasurer(pixels);
    // A measuring that was stopped begins anew with the size that was found.
    if (scale) await measurer.current.scale(scale.by, photo.focal35Mm);
    return measurer.current;
  };
  const work = async <T,>(ask: (with_: Measurer) => Promise<Measuring<T>>, then: (value: T) => void) => {
    setWorking(true);
    setProblem(null);
    try {
      const came = await ask(await opened());
      if (came.ok) then(came.value);
      else setProblem(refusals[came.refusal]);
    } catch {
      setProblem('The picture could not be opened; try again.');
    } finally {
      setWorking(false);
    }
  };
  const stop = () => {
    measurer.current?.end();
    measurer.current = null;
    setWorking(false);
  };
  const startOver = (next: ScaleId) => {
    setScaleId(next);
    setScale(null);
    setPoints([]);
    setFound([]);
    setProblem(null);
  };
  const two = points as readonly [Point, Point];
  const findScale = () => {
    const by: ScaleBy =
      scaleId === 'own-card'
        ? { by: scaleId, barMm }
        : scaleId === 'bank-card'
          ? { by: scaleId, taps: points }
          : scaleId === 'ruler'
            ? { by: scaleId, taps: two, lengthMm: rulerMm }
            : { by: scaleId, taps: two };
    void work(
      (one) => one.scale(by, photo.focal35Mm),
      (seen) => {
        setScale({ by, seen });
        setPoints([]);
        if (by.by === 'head-width') setTask('outline');
      },
    );
  };
  const lineLength = points.length === 2 ? Math.hypot(two[1][0] - two[0][0], two[1][1] - two[0][1]) : 0;
  const halfWidthPx = side ?? USUAL_SIDE * lineLength;
  const measure = () => {
    if (task === 'view') {
      void keeping.run(
        () => keepMarks({ photoId: photo.id, marks: points.map(([x, y]) => [x, y]) }),
        ({ marks }) => {
          onMarked(marks);
          setPoints([]);
        },
      );
      return;
    }
    const asked: AskedMeasure =
      task === 'curl'
        ? { what: task, ends: two, halfWidthPx }
        : task === 'length'
          ? { what: task, taps: points, zone, stretchedCm: stretchedCm[zone] }
          : task === 'definition'
            ? { what: task, corners: two }
            : { what: task, wall: two[0], hair: two[1] };
    void work(
      (one) => one.measure(asked),
      (figures) => setFound([...figures]),
    );
  };
  const chooseTask = (next: TaskId) => {
    setTask(next);
    setPoints([]);
    setFound([]);
    setProblem(null);
    setSide(null);
  };
  const wanted = scale ? TASKS[task] : { ...SCALES[scaleId], least: SCALES[scaleId].points };
  const tasks =
    scale?.seen.kind === 'head-width' ? TASK_IDS.filter((id) => id === 'outline' || id === 'view') : TASK_IDS;
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth fullScreen={isNarrow}>
      <DialogTitle>
        Measure on this picture: {photoViews[photo.view].label.toLowerCase()}, day {photo.day}
      </DialogTitle>
      <div className={styles.measure}>
        <div>
          <MeasurePad
            src={photoAddress(photo.id, 'jpeg')}
            width={photo.width}
            height={photo.height}
            points={points}
            most={wanted.points}
            zoom={zoom}
            name={wanted.hint}
            onPoints={(next) => {
              setPoints(next);
              setFound([]);
            }}
          >
            {scale && scale.seen.corners.length > 0 && (
              <polygon
                className={styles.card}
                points={scale.seen.corners.map((corner) => corner.join()).join(' ')}
              />
            )}
            {scale && task === 'curl' && points.length === 2 && (
              <CurlBox ends={two} halfWidthPx={halfWidthPx} />
            )}
            {scale && task === 'definition' && points.length === 2 && (
              <rect
                className={styles.drawn}
                x={Math.min(two[0][0], two[1][0])}
                y={Math.min(two[0][1], two[1][1])}
                width={Math.abs(two[1][0] - two[0][0])}
                height={Math.abs(two[1][1] - two[0][1])}
              />
            )}
            {(task === 'length' || !scale) && points.length > 1 && (
              <polyline
                className={styles.drawn}
                points={[...points, ...(!scale && points.length === 4 ? [points[0]!] : [])]
                  .map((point) => point.join())
                  .join(' ')}
              />
            )}
          </MeasurePad>
          <Chips title="Near or far">
            {[1, 2, 4].map((times) => (
              <Chip key={times} isOn={zoom === times} onToggle={() => setZoom(times)}>
                {times} ×
              </Chip>
            ))}
          </Chips>
        </div>
        <div className={styles.panel}>
          <div role="status">
            {problem && <p className={styles.problem}>{problem}</p>}
            {found.length > 0 && (
              <>
                <dl className={styles.figures}>
                  {found.map((figure) => {
                    const words = measureWords(figure, units);
                    return (
                      <div key={figure.measure}>
                        <dt>{words.name}</dt>
                        <dd>
                          <b>{words.value}</b> <small>{words.range}</small>
                        </dd>
                      </div>
                    );
                  })}
                </dl>
                <ul className={styles.worse}>
                  {[...new Set(found.flatMap(({ worse }) => worse))].map((id) => (
                    <li key={id}>{worseWords[id]}</li>
                  ))}
                </ul>
              </>
            )}
          </div>
          <Chips title="What tells its size">
            {SCALE_IDS.map((id) => (
              <Chip key={id} isOn={id === scaleId} onToggle={() => startOver(id)}>
                {SCALES[id].label}
              </Chip>
            ))}
          </Chips>
          {scale ? (
            <>
              <p className={styles.seen}>✓ {scaleWords(scale.seen)}</p>
              <Chips title="What to measure">
                {tasks.map((id) => (
                  <Chip key={id} isOn={id === task} onToggle={() => chooseTask(id)}>
                    {TASKS[id].label}
                  </Chip>
                ))}
              </Chips>
              <p className={styles.hint}>{TASKS[task].hint}</p>
              {task === 'length' && (
                <SelectField
                  label="Of which hair"
                  value={zone}
                  options={ZONES.map((value) => ({ value, label: ZONE_LABEL[value] }))}
                  onChange={(value) => setZone(value as Zone)}
                />
              )}
              {task === 'curl' && points.length === 2 && (
                <label className={styles.slider}>
                  As wide as the curl, and a little over
                  <input
                    type="range"
                    min={4}
                    max={Math.max(40, lineLength / 2)}
                    value={halfWidthPx}
                    aria-valuetext={`${Math.round(halfWidthPx)} pixels to either side`}
                    onChange={(event) => {
                      setSide(Number(event.target.value));
                      setFound([]);
                    }}
                  />
                </label>
              )}
            </>
          ) : (
            <>
              <p className={styles.hint}>{SCALES[scaleId].hint}</p>
              {scaleId === 'own-card' && (
                <>
                  <NumberField
                    label="The bar of your print measures"
                    unit="mm"
                    value={barMm}
                    low={BAR_MM.low}
                    high={BAR_MM.high}
                    step={0.5}
                    onCommit={setBarMm}
                  />
                  <a href="/api/v1/measuring-card" target="_blank" rel="noreferrer">
                    Print the card
                  </a>
                </>
              )}
              {scaleId === 'ruler' && (
                <NumberField
                  label="From mark to mark"
                  unit="mm"
                  value={rulerMm}
                  low={10}
                  high={1000}
                  onCommit={setRulerMm}
                />
              )}
            </>
          )}
          {points.length > 0 && (
            <Button size="small" onClick={() => setPoints(points.slice(0, -1))}>
              Take the last point back
            </Button>
          )}
          <div className={styles.go}>
            {isWorking ? (
              <>
                <progress aria-label="Measuring" />
                <Button size="small" onClick={stop}>
                  Stop
                </Button>
              </>
            ) : (
              <Button
                variant="contained"
                disabled={points.length < wanted.least}
                onClick={scale ? measure : findScale}
              >
                {scale && task === 'view'
                  ? 'Keep the marks'
                  : scale
                    ? 'Measure it'
                    : scaleId === 'own-card'
                      ? 'Find the card'
                      : 'This is the size'}
              </Button>
            )}
          </div>
          {keeping.problem}
        </div>
      </div>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button
          variant="contained"
          disabled={found.length === 0 || keeping.isBusy}
          onClick={() =>
            void keeping.run(
              () => keepMeasures({ photoId: photo.id, measures: [...found] }),
              (kept) => {
                onKept(kept);
                setFound([]);
                setPoints([]);
              },
            )
          }
        >
          Keep with the day
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function scaleWords({ kind, pxPerMm, isAslant, isMirrored }: ScaleSeen): string {
  if (kind === 'head-width') return 'In widths of this head.';
  return [
    `${pxPerMm.toFixed(1)} pixels to the mm.`,
    isAslant && 'The card is turned away: lengths across it are worse.',
    isMirrored && 'The picture is turned left for right, as a front camera keeps it.',
    kind !== 'ruler' && 'Hair within 10 mm of the card is taken to be at its distance.',
  ]
    .filter(Boolean)
    .join(' ');
}

/** The strip that a curl is looked for in. */
function CurlBox({
  ends: [[ax, ay], [bx, by]],
  halfWidthPx,
}: {
  readonly ends: readonly [Point, Point];
  readonly halfWidthPx: number;
}) {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  const [nx, ny] = [(-(by - ay) / length) * halfWidthPx, ((bx - ax) / length) * halfWidthPx];
  const corners = [
    [ax + nx, ay + ny],
    [bx + nx, by + ny],
    [bx - nx, by - ny],
    [ax - nx, ay - ny],
  ];
  return <polygon className={styles.drawn} points={corners.map((corner) => corner.join()).join(' ')} />;
}
