'use client';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { seededRng } from '@/core/random/rng';
import { startScale, type RunningScale } from '@/workers/client';
import { Page, Part } from '@/ui/shell/page';
import type { loadTubs } from './queries';
import { RoomDevice } from './room-device';
import styles from './scale-device.module.css';

/** What is really in a tub lies this far either side of what is thought, as a share: why one weighs. */
const TUB_OFF = 0.06;
const SCOOP_G = 5;

/** A small scale that pretends: tubs are put on it, and it tells what it reads to the other pages. */
export function ScaleDevice({ tubs, seed }: Awaited<ReturnType<typeof loadTubs>>) {
  const scale = useRef<RunningScale | null>(null);
  const [shownG, setShownG] = useState<number | null>(null);
  const [on, setOn] = useState<string | null>(null);
  const [insideG, setInsideG] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(
      tubs.map(({ id, leftG }, i) => [id, leftG * (1 + TUB_OFF * (2 * seededRng(seed, i)() - 1))]),
    ),
  );

  useEffect(() => {
    const running = startScale(seed, ({ grams }) => setShownG(grams));
    scale.current = running;
    return running.end;
  }, [seed]);

  const load = (grams: number, id: string | null) => {
    scale.current?.putOn(grams);
    setOn(id);
  };
  const tub = tubs.find(({ id }) => id === on);
  const scoop = () => {
    if (!tub) return;
    const left = Math.max(0, insideG[tub.id]! - SCOOP_G);
    setInsideG({ ...insideG, [tub.id]: left });
    load(tub.emptyG + left, tub.id);
  };
  return (
    <Page
      title="Scale"
      lead="A make-believe scale to try weighing with: it settles, drifts and trembles like a cheap one. Leave this page open beside the shelf."
    >
      <div className={styles.scale}>
        <p className={styles.display} aria-live="off">
          <strong>{shownG === null ? '–' : shownG.toFixed(1)}</strong> g
        </p>
        <p className={styles.plate}>{tub ? tub.name : 'nothing on it'}</p>
        <div className={styles.keys}>
          <Button variant="outlined" onClick={() => scale.current?.zero()}>
            Zero
          </Button>
          <Button variant="outlined" disabled={!tub} onClick={scoop}>
            Scoop out {SCOOP_G} g
          </Button>
          <Button variant="outlined" disabled={!tub} onClick={() => load(0, null)}>
            Take it off
          </Button>
        </div>
      </div>
      <Part title="Put on">
        {tubs.length === 0 && (
          <p>Nothing is on the shelf yet. A product that is put there can be weighed here.</p>
        )}
        <ul className={styles.tubs}>
          {tubs.map(({ id, name, emptyG }) => (
            <li key={id}>
              <Button
                variant={id === on ? 'contained' : 'outlined'}
                onClick={() => load(emptyG + insideG[id]!, id)}
              >
                {name}
              </Button>
            </li>
          ))}
        </ul>
      </Part>
      <RoomDevice seed={seed} />
    </Page>
  );
}
