'use client';
import { inHands } from '@/core/products/dose';
import { handUnits as handUnitTable } from '@/core/products/hand-units';
import { toolKinds } from '@/core/techniques/tool-kind';
import { WINDING_WORDS } from '@/core/parting/winding';
import { formatDiameter, formatMass, formatPortion } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import type { ChairSet } from './chair-set';
import styles from './chair.module.css';

/** What the section in hand gets: each product by name with its dose, the tool with its swatch, and which way it goes. */
export function HandCard({
  set,
  number,
  left,
}: {
  readonly set: ChairSet;
  readonly number: number;
  /** Sections still to do on the same size of tool, this one with them. */
  readonly left: number;
}) {
  const { units } = useUnits();
  const line = set.sections[number];
  const doses = line?.doses ?? [];
  return (
    <div className={styles.card}>
      <ul className={styles.layers} aria-label="What goes on it">
        {set.layers.map(({ name, role, what, isMixedIn }, i) => {
          const grams = doses[i];
          if (grams === undefined || grams === null) return null;
          const { unit, amount } = inHands(role, grams, set.handUnits);
          return (
            // Layers have no identity but their place.
            <li key={`${i}/${role}`}>
              <b>{name}</b>
              <small>{[what, isMixedIn && 'mixed in the hand'].filter(Boolean).join(', ')}</small>
              <span>
                {formatPortion(amount, handUnitTable[unit].noun)}
                <small>{formatMass(grams, units)}</small>
              </span>
            </li>
          );
        })}
      </ul>
      {line?.toolKind && line.toolMm !== null && (
        <p className={styles.tool}>
          <svg viewBox="0 0 64 24" aria-hidden="true">
            <rect x="1.500" y="4" width="61" height="16" rx="8" fill={line.swatch ?? 'none'} />
            <path d="M14 4v16M50 4v16" />
          </svg>
          <span>
            <b>
              {formatDiameter(line.toolMm, units)} {toolKinds[line.toolKind].noun[0]}
            </b>
            <small>
              {line.winding && `wound ${WINDING_WORDS[line.winding]}; `}
              {left === 1 ? 'the last of this size' : `${left} of this size to go in`}
            </small>
          </span>
        </p>
      )}
    </div>
  );
}
