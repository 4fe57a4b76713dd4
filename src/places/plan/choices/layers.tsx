'use client';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { productRoles, ROLE_IDS } from '@/core/products';
import type { PlanFile } from '@/core/formats/plan-file';
import { formatMass } from '@/ui/format';
import { CloseIcon, DownIcon, UpIcon } from '@/ui/icons';
import { useUnits } from '@/ui/units-context';
import { layerName, layerOf, moved, type DraftLayer, type ShelfProduct } from '../plan-content';
import styles from './layers.module.css';

export interface LayersProps {
  readonly layers: readonly DraftLayer[];
  readonly productIds: readonly (string | null)[];
  readonly shelf: readonly ShelfProduct[];
  readonly doses: PlanFile['doses'];
  readonly onChange: (layers: DraftLayer[], productIds: (string | null)[]) => void;
}

/** The layers in the order they go on, each with its dose for the head. */
export function Layers({ layers, productIds, shelf, doses, onChange }: LayersProps) {
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
                  {doses[i] ? `, ${formatMass(doses[i].grams, units)} for the head` : ''}
                </span>
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
      {layers.length > 1 && layers[0] && productRoles[layers[0].role].isSealant && (
        <Button size="small" onClick={() => move(0, layers.length - 1)}>
          Put the {productRoles[layers[0].role].label.toLowerCase()} last
        </Button>
      )}
    </>
  );
}
