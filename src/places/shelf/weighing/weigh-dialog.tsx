'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { typedNumber } from '@/core/formats/typed-field';
import { formatMass } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { weigh } from '../actions';
import type { Product } from '../shelf-types';
import { broadcastScale } from './broadcast-scale';
import { useScale } from './use-scale';
import styles from './weigh-dialog.module.css';

/** Less than this lies on a scale with nothing on it, g: its zero has only wandered. */
const NOTHING_G = 5;

/**
 * Weighs a tub: the scale empty first, then with the tub on it. Only the difference counts, so a zero that has
 * wandered does no harm. Without a scale the weight can be typed.
 */
export function WeighDialog({ product, onClose }: { product: Product; onClose: () => void }) {
  const router = useRouter();
  const { units } = useUnits();
  const heard = useScale(broadcastScale);
  const [zeroG, setZeroG] = useState<number | null>(null);
  const [typed, setTyped] = useState('');
  const [empty, setEmpty] = useState(product.emptyG === null ? '' : String(product.emptyG));
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const settled = heard?.settledG ?? null;
  const isBare = settled !== null && Math.abs(settled) < NOTHING_G;
  if (isBare && zeroG === null) setZeroG(settled);
  const weighedG = settled !== null && !isBare ? settled - (zeroG ?? 0) : null;
  const typedG = typedNumber('Weight', 0, 30_000, 'g').safeParse(typed);
  const byHandG = typedG.success ? typedG.data : null;
  const grossG = byHandG ?? weighedG;
  const emptyG = typedNumber('Empty tub', 0, 5000, 'g').safeParse(empty);
  const leftG = grossG !== null && emptyG.success && emptyG.data !== null ? grossG - emptyG.data : null;

  const keep = async () => {
    if (grossG === null) return;
    setBusy(true);
    setProblem(null);
    try {
      const answer = await weigh({ id: product.id, grossG, emptyG: empty });
      if (answer.ok) {
        router.refresh();
        return onClose();
      }
      setProblem(answer.errors[0]?.message ?? null);
    } catch {
      setProblem('No connection. The weight is still here; try again');
    }
    setBusy(false);
  };

  const word =
    heard === null
      ? 'no scale is heard'
      : settled === null
        ? 'settling…'
        : isBare
          ? 'empty: put the tub on, lid and all'
          : zeroG === null
            ? 'steady; it was not seen empty, so its zero may be off a little'
            : 'steady';
  return (
    <Dialog open onClose={onClose} aria-labelledby="weigh-title" fullWidth maxWidth="xs">
      <div className={styles.dialog}>
        <h2 id="weigh-title">Weigh {product.name}</h2>
        <div className={styles.display} data-steady={weighedG !== null} role="status">
          <strong>{heard ? `${(heard.nowG - (zeroG ?? 0)).toFixed(1)} g` : '–'}</strong>
          <span>{word}</span>
        </div>
        {heard === null && (
          <p>
            <a href="/scale" target="_blank" rel="noreferrer">
              Open the scale
            </a>{' '}
            beside this page, or type what yours says.
          </p>
        )}
        <TextField
          label="Or type the weight, g"
          value={typed}
          error={!typedG.success}
          helperText={typedG.success ? ' ' : typedG.error.issues[0]?.message}
          onChange={(event) => setTyped(event.target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <TextField
          label="The empty tub, g"
          value={empty}
          error={!emptyG.success}
          helperText={
            emptyG.success ? 'the tub alone; kept for the next time' : emptyG.error.issues[0]?.message
          }
          onChange={(event) => setEmpty(event.target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        {problem && <Alert severity="warning">{problem}.</Alert>}
        <div className={styles.actions}>
          <Button onClick={onClose}>Leave</Button>
          <Button
            variant="contained"
            disabled={busy || leftG === null || leftG < -1}
            onClick={() => void keep()}
          >
            {leftG === null ? 'Keep' : `Keep ${formatMass(Math.max(0, leftG), units)} left`}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
