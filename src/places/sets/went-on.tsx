'use client';
import type { BriefInput } from '@/core/formats/brief';
import type { PlanFile } from '@/core/formats/plan-file';
import { placesOnly } from '@/core/plan/how-words';
import { productRoles } from '@/core/products';
import { formatMass } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import styles from './set-page.module.css';

/** What each layer of a set was, half by half where two halves differ. */
export function WentOn({
  brief,
  doses,
  productIds,
  takenG,
  names,
  isOver,
}: {
  readonly brief: BriefInput;
  readonly doses: PlanFile['doses'];
  readonly productIds: readonly (string | null)[];
  /** What the shelf counts as used of each product, g. */
  readonly takenG: Readonly<Record<string, number>> | null;
  readonly names: Readonly<Record<string, string>>;
  readonly isOver: boolean;
}) {
  const { units } = useUnits();
  const layers = brief.set.layers ?? [];
  // Who rates must not read which is which before both halves are over.
  const isHidden = (brief.parting?.namesHidden ?? false) && !isOver;
  const letters = new Map<number, string>();
  layers.forEach((layer, i) => {
    if (isHidden && layer.half) letters.set(i, String.fromCharCode(65 + letters.size));
  });
  if (layers.length === 0) return <p>Nothing.</p>;
  return (
    <>
      <ul className={styles.layers}>
        {layers.map((layer, i) => {
          const id = productIds[i] ?? null;
          const kind = productRoles[layer.role].label;
          const letter = letters.get(i);
          const grams = (id !== null && takenG?.[id]) || doses[i]?.grams;
          return (
            // Layers have no identity but their place.
            <li key={`${i}/${layer.role}`}>
              <b>{letter ? `Product ${letter}` : ((id !== null && names[id]) ?? kind)}</b>{' '}
              <span>
                {[
                  !letter && kind.toLowerCase(),
                  letter ? 'one half only' : placesOnly(layer),
                  grams && formatMass(grams, units),
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </li>
          );
        })}
      </ul>
      {isHidden && (
        <p className={styles.hint}>Which product is on which half is told once both halves are over.</p>
      )}
    </>
  );
}
