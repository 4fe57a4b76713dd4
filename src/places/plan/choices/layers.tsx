'use client';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { productRoles, ROLE_IDS } from '@/core/products';
import type { PlanFile } from '@/core/formats/plan-file';
import {
  HAND_UNIT_IDS,
  handUnitG,
  handUnits as handUnitTable,
  type HandUnitId,
  type WeighedUnits,
} from '@/core/products/hand-units';
import { inHands } from '@/core/products/dose';
import { NumberField } from '@/ui/fields/number-field';
import { formatHands, formatMass, type UnitSystem } from '@/ui/format';
import { CloseIcon, DownIcon, UpIcon } from '@/ui/icons';
import { useUnits } from '@/ui/units-context';
import { layerName, layerOf, moved, type DraftLayer, type ShelfProduct } from '../plan-content';
import styles from './layers.module.css';

export interface LayersProps {
  readonly layers: readonly DraftLayer[];
  readonly productIds: readonly (string | null)[];
  readonly shelf: readonly ShelfProduct[];
  readonly doses: PlanFile['doses'];
  readonly handUnits: WeighedUnits;
  readonly onWeighed: (weighed: WeighedUnits) => void;
  readonly onChange: (layers: DraftLayer[], productIds: (string | null)[]) => void;
}

const doseWords = (
  role: DraftLayer['role'],
  dose: PlanFile['doses'][number],
  weighed: WeighedUnits,
  units: UnitSystem,
) => {
  const { unit, amount } = inHands(role, dose.grams, weighed);
  return `, ${formatMass(dose.grams, units)} for the head, about ${formatHands(amount, handUnitTable[unit as HandUnitId].noun)}`;
};

/** The layers in the order they go on, each with its dose for the head. */
export function Layers({ layers, productIds, shelf, doses, handUnits, onWeighed, onChange }: LayersProps) {
  const { units } = useUnits();
  const move = (from: number, to: number) => onChange(moved(layers, from, to), moved(productIds, from, to));
  const remove = (at: number) =>
    onChange(
      layers.filter((_, i) => i !== at),
      productIds.filter((_, i) => i !== at),
    );
  const add = (value: string) => {
    const product = shelf.find((p) => p.id === value);
    const layer = product
      ? layerOf(product)
      : ROLE_IDS.includes(value as never)
        ? { role: value as never }
        : null;
    if (layer) onChange([...layers, layer], [...productIds, product?.id ?? null]);
  };
  return (
    <>
      <ol className={styles.layers}>
        {layers.map((layer, i) => {
          const name = layerName(layer, productIds[i] ?? null, shelf);
          return (
            <li key={`${i}-${name}`} className={styles.layer}>
              <span className={styles.name}>
                {name}
                <span className={styles.dose}>
                  {productRoles[layer.role].label.toLowerCase()}
                  {doses[i] && doseWords(layer.role, doses[i], handUnits, units)}
                </span>
                {doses[i] && doses[i].amount !== 'right' && (
                  <span className={styles.flag}>
                    {doses[i].amount === 'much' ? 'much' : 'little'} for this hair:{' '}
                    {formatMass(doses[i].recommendedGrams, units)} is usual
                  </span>
                )}
              </span>
              <IconButton
                size="small"
                aria-label={`${name}: earlier`}
                disabled={i === 0}
                onClick={() => move(i, i - 1)}
              >
                <UpIcon width={18} height={18} />
              </IconButton>
              <IconButton
                size="small"
                aria-label={`${name}: later`}
                disabled={i === layers.length - 1}
                onClick={() => move(i, i + 1)}
              >
                <DownIcon width={18} height={18} />
              </IconButton>
              <IconButton size="small" aria-label={`${name}: leave out`} onClick={() => remove(i)}>
                <CloseIcon width={18} height={18} />
              </IconButton>
            </li>
          );
        })}
      </ol>
      {layers.length < 8 && (
        <label className={styles.add}>
          <span className="visually-hidden">Add a layer</span>
          <select value="" onChange={(event) => add(event.target.value)}>
            <option value="">Add a layer…</option>
            {shelf.length > 0 && (
              <optgroup label="On your shelf">
                {shelf.map((product) => (
                  <option key={product.id} value={product.id}>
                    {product.name}
                  </option>
                ))}
              </optgroup>
            )}
            <optgroup label="By kind">
              {ROLE_IDS.map((role) => (
                <option key={role} value={role}>
                  {productRoles[role].label}
                </option>
              ))}
            </optgroup>
          </select>
        </label>
      )}
      <p className={styles.schools}>
        Two schools: leave-in, cream, then oil; or leave-in, oil, then cream. Never oil first, it seals in
        whatever is under it.
      </p>
      <details className={styles.details}>
        <summary>Take another amount</summary>
        {layers.map((layer, i) => (
          <NumberField
            key={`${i}-${layer.role}`}
            label={`${layerName(layer, productIds[i] ?? null, shelf)}, for the head`}
            unit="g"
            value={layer.grams ?? Math.round((doses[i]?.grams ?? 0) * 10) / 10}
            low={0}
            high={500}
            step={1}
            onCommit={(grams) =>
              onChange(
                layers.map((own, j) => (j === i ? { ...own, grams } : own)),
                [...productIds],
              )
            }
          />
        ))}
        {layers.some((layer) => layer.grams !== undefined) && (
          <Button
            size="small"
            onClick={() =>
              onChange(
                layers.map(({ grams: _, ...layer }) => layer),
                [...productIds],
              )
            }
          >
            Back to the usual amounts
          </Button>
        )}
      </details>
      <details className={styles.details}>
        <summary>Weigh my own pumps</summary>
        <p className={styles.schools}>
          Put ten on a scale and enter what they weigh. Every plan counts in your own units from then on.
        </p>
        {HAND_UNIT_IDS.map((unit) => (
          <NumberField
            key={unit}
            label={`Ten ${handUnitTable[unit].noun[1]} weigh`}
            unit="g"
            value={Math.round(100 * handUnitG(unit, 1, handUnits)) / 10}
            low={1}
            high={200}
            step={0.5}
            onCommit={(grams) => onWeighed({ ...handUnits, [unit]: grams / 10 })}
          />
        ))}
      </details>
      {layers.length > 1 && layers[0] && productRoles[layers[0].role].isSealant && (
        <Button size="small" onClick={() => move(0, layers.length - 1)}>
          Put the {productRoles[layers[0].role].label.toLowerCase()} last
        </Button>
      )}
    </>
  );
}
