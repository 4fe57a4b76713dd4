'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useEffect, useRef, useState } from 'react';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { formatDiameter, formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { FlatCurls } from './flat-curls';
import type { HeadScene } from './head-scene';
import { seenCurls, type RoundSource } from './seen-curls';
import styles from './round-dialog.module.css';

const STEP_RAD = Math.PI / 8;

/** Whether this browser can draw in three dimensions at all. */
function hasWebGl(): boolean {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
}

/** The head in the round: the sections on it, and when asked the curls at their true size beside a ruler. */
export function RoundDialog({
  source,
  sections,
  partPath,
  skin,
  hair,
  onClose,
}: {
  source: RoundSource;
  sections: readonly DrawnSection[];
  partPath: string | null;
  skin: string;
  hair: string;
  onClose: () => void;
}) {
  const { units } = useUnits();
  // A dialog puts its content in place late: the canvas is heard of when it comes.
  const [canvas, setCanvas] = useState<HTMLCanvasElement | null>(null);
  const scene = useRef<HeadScene | null>(null);
  const [showsCurls, setShowsCurls] = useState(true);
  const [isFlat, setFlat] = useState(() => !hasWebGl());
  const [isReady, setReady] = useState(false);
  const curls = seenCurls(source);
  const lengths = curls.map(({ visibleCm }) => visibleCm);
  const sizes = curls.map(({ diameterMm }) => diameterMm);

  useEffect(() => {
    if (!canvas) return;
    let isGone = false;
    let made: HeadScene | null = null;
    void import('./head-scene').then(({ makeHeadScene }) => {
      if (isGone) return;
      try {
        made = makeHeadScene(canvas, { source, sections, partPath, skin, hair, units });
        scene.current = made;
        setReady(true);
      } catch {
        setFlat(true);
      }
    });
    return () => {
      isGone = true;
      scene.current = null;
      setReady(false);
      made?.dispose();
    };
    // The scene belongs to the plan as it was when this was opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [canvas]);

  useEffect(() => {
    scene.current?.showCurls(showsCurls);
  }, [showsCurls, isReady]);

  const turn = (azimuth: number, polar = 0) => scene.current?.turn(azimuth, polar);
  return (
    <Dialog open onClose={onClose} aria-labelledby="round-title" maxWidth="lg" fullWidth>
      <div className={styles.dialog}>
        <header className={styles.head}>
          <div>
            <h2 id="round-title">In the round</h2>
            <p>
              Day one: curls {range(sizes, (mm) => formatDiameter(mm, units))} wide, showing{' '}
              {range(lengths, (cm) => formatLength(cm, units))}. Drawn to scale; about a quarter either way in
              width.
            </p>
          </div>
          <Button onClick={onClose}>Leave</Button>
        </header>
        {isFlat ? (
          <FlatCurls curls={curls} pieces={source.separations} hair={hair} />
        ) : (
          <div className={styles.stage}>
            <canvas
              ref={setCanvas}
              className={styles.canvas}
              tabIndex={0}
              role="img"
              aria-label={`The head in three dimensions, ${sections.length} sections. Turn it with the arrow keys`}
              data-ready={isReady}
              onKeyDown={(event) => {
                const moves: Readonly<Record<string, readonly [number, number]>> = {
                  ArrowLeft: [-STEP_RAD, 0],
                  ArrowRight: [STEP_RAD, 0],
                  ArrowUp: [0, -STEP_RAD],
                  ArrowDown: [0, STEP_RAD],
                };
                const move = moves[event.key];
                if (!move) return;
                event.preventDefault();
                turn(...move);
              }}
            />
            {!isReady && (
              <p className={styles.waiting} role="status">
                Drawing the head…
              </p>
            )}
          </div>
        )}
        <footer className={styles.tools}>
          {!isFlat && (
            <>
              <Button variant="outlined" size="small" onClick={() => turn(-STEP_RAD)}>
                Turn left
              </Button>
              <Button variant="outlined" size="small" onClick={() => turn(STEP_RAD)}>
                Turn right
              </Button>
              <Button variant="outlined" size="small" onClick={() => scene.current?.look('above')}>
                From above
              </Button>
              <Button variant="outlined" size="small" onClick={() => scene.current?.look('behind')}>
                From behind
              </Button>
              <FormControlLabel
                control={<Switch checked={showsCurls} onChange={(_, shown) => setShowsCurls(shown)} />}
                label="Curls"
              />
            </>
          )}
          <FormControlLabel
            control={<Switch checked={isFlat} onChange={(_, flat) => setFlat(flat)} />}
            label="Flat, beside a ruler"
          />
        </footer>
      </div>
    </Dialog>
  );
}

function range(values: readonly number[], words: (value: number) => string): string {
  const [low, high] = [words(Math.min(...values)), words(Math.max(...values))];
  return low === high ? low : `${low} to ${high}`;
}
