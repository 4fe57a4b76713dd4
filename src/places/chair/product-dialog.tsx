'use client';
import { useState } from 'react';
import { handUnits } from '@/core/products/hand-units';
import { NumberField } from '@/ui/fields/number-field';
import { formatMass } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { broadcastScale } from '../shelf/weighing/broadcast-scale';
import { useScale } from '../shelf/weighing/use-scale';
import { ChairDialog } from './chair-dialog';
import type { ChairViewProps } from './chair-set';
import { shortWords } from './short-words';
import { usesOf } from './uses-of';
import styles from './chair.module.css';

/** The heaviest tub, g. */
const HEAVIEST_G = 20_000;

/** What went on of each product: pumps counted by tap, or the tub weighed before and after. */
export function ProductDialog({
  set,
  log,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log'> & { readonly onClose: () => void }) {
  const { units } = useUnits();
  const heard = useScale(broadcastScale);
  const [typedG, setTypedG] = useState<number | null>(null);
  const { state, record } = log;
  const uses = usesOf(set, state);
  const grams = typedG ?? heard?.settledG ?? null;
  return (
    <ChairDialog open title="Product used" onClose={onClose} maxWidth="sm">
      <p>Tap once for each pump or dime, or weigh the tub before you begin and again later.</p>
      <div className={styles.scale}>
        <span role="status">
          {heard === null
            ? 'No scale is heard: type what yours says.'
            : heard.settledG === null
              ? 'The scale is settling…'
              : `The scale says ${heard.settledG.toFixed(1)} g.`}
        </span>
        <NumberField
          label="Scale, g"
          value={Math.round(grams ?? 0)}
          low={0}
          high={HEAVIEST_G}
          width={140}
          onCommit={setTypedG}
        />
      </div>
      <ul className={styles.used}>
        {set.layers.map((layer, i) => {
          const use = uses[i]!;
          const short = shortWords(layer, use, set, units);
          const weighings = state.standing.filter(
            ({ kind, step }) => kind === 'tub-weighed' && step === String(i),
          ).length;
          const counted = state.standing.filter(
            ({ kind, step }) => kind === 'dispensed' && step === String(i),
          );
          const noun = handUnits[layer.unit].noun;
          return (
            // Layers have no identity but their place.
            <li key={`${i}/${layer.role}`}>
              <span>
                <b>{layer.name}</b>
                <small>
                  {use.usedG === null
                    ? weighings === 1
                      ? 'weighed once; weigh it again later'
                      : 'nothing weighed or counted yet'
                    : `${formatMass(use.usedG, units)} used by ${use.by}`}
                  , {formatMass(use.plannedDoneG, units)} planned for what is done
                </small>
                {short && (
                  <small>
                    <b>{short.what}</b> {short.todo}
                  </small>
                )}
              </span>
              <button
                type="button"
                aria-label={`${layer.name}: one ${noun[0]} more`}
                onClick={() => record('dispensed', { step: String(i), amount: 1 })}
              >
                +1 {noun[0]}
              </button>
              <button
                type="button"
                aria-label={`${layer.name}: weighed`}
                disabled={grams === null || grams <= 0}
                onClick={() => {
                  record('tub-weighed', { step: String(i), amount: grams ?? 0 });
                  setTypedG(null);
                }}
              >
                Weighed
              </button>
              <button
                type="button"
                aria-label={`${layer.name}: take the last one back`}
                disabled={counted.length === 0}
                onClick={() => record('taken-back', { of: [counted.at(-1)!.id] })}
              >
                −1
              </button>
            </li>
          );
        })}
      </ul>
    </ChairDialog>
  );
}
