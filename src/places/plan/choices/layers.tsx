'use client';
import { LAYER_RANGES } from '@/core/formats/ranges';
import type { Units } from '@/core/formats/display';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useState } from 'react';
import { orderProblems } from '@/core/advice/layering';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { allergyMatches } from '@/core/shelf/allergy';
import { isUnmade } from '@/core/shelf/stock';
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
import { isLayerKind } from '@/core/products/shelf-kind';
import { NumberField } from '@/ui/fields/number-field';
import { formatHands, formatMass } from '@/ui/format';
import { CloseIcon, DownIcon, UpIcon } from '@/ui/icons';
import { useUnits } from '@/ui/units-context';
import { layerName, layerOf } from '@/core/draft/shelf-choices';
import { moved } from '@/core/draft/edits';
import type { DraftLayer, ShelfProduct } from '@/core/draft/draft-brief';
import { placesOnly } from '@/core/plan/how-words';
import { LayerRow } from './layer-row';
import { HalfOfLayer, ZonesOfLayer } from './zones-of-layer';
import styles from './layers.module.css';

export interface LayersProps {
  readonly layers: readonly DraftLayer[];
  readonly productIds: readonly (string | null)[];
  readonly shelf: readonly ShelfProduct[];
  /** What the head's card says to mind. */
  readonly allergies: string;
  readonly doses: PlanFile['doses'];
  /** Two halves are compared: a layer may go on one of them. */
  readonly isTrial: boolean;
  readonly handUnits: WeighedUnits;
  readonly onWeighed: (weighed: WeighedUnits) => void;
  readonly onChange: (layers: DraftLayer[], productIds: (string | null)[]) => void;
}

const doseWords = (
  role: DraftLayer['role'],
  dose: PlanFile['doses'][number],
  weighed: WeighedUnits,
  units: Units,
) => {
  const { unit, amount } = inHands(role, dose.grams, weighed);
  return `, ${formatMass(dose.grams, units)} ${placesOnly(dose) ? 'there' : 'for the head'}, about ${formatHands(amount, handUnitTable[unit as HandUnitId].noun)}`;
};

/** What a screen reader says while a layer is moved, the check of the new order with it. */
const announcementsOf = (
  nameAt: (id: UniqueIdentifier) => string,
  problemsAt: (from: UniqueIdentifier, to: UniqueIdentifier) => readonly string[],
): Announcements => ({
  onDragStart: ({ active }) => `${nameAt(active.id)} is lifted.`,
  onDragOver: ({ active, over }) =>
    over?.id === active.id
      ? `${nameAt(active.id)} is at its own place.`
      : over
        ? `${nameAt(active.id)} is at the place of ${nameAt(over.id)}. ${problemsAt(active.id, over.id).join(' ')}`
        : undefined,
  onDragEnd: ({ active }) => `${nameAt(active.id)} is put down.`,
  onDragCancel: ({ active }) => `${nameAt(active.id)} is back where it was.`,
});

/** The layers in the order they go on, each with its dose for the head. */
export function Layers({
  layers,
  productIds,
  shelf,
  allergies,
  doses,
  isTrial,
  handUnits,
  onWeighed,
  onChange,
}: LayersProps) {
  const warnings = new Map(allergyMatches(allergies, shelf).map(({ product, word }) => [product, word]));
  const { units } = useUnits();
  const move = (from: number, to: number) => onChange(moved(layers, from, to), moved(productIds, from, to));
  const ids = layers.map((layer, i) => `${i}/${layer.role}`);
  const placeOf = (id: UniqueIdentifier) => ids.indexOf(String(id));
  const nameAt = (id: UniqueIdentifier) => {
    const i = placeOf(id);
    return layers[i] ? layerName(layers[i], productIds[i] ?? null, shelf) : 'a layer';
  };
  const problemsAt = (from: UniqueIdentifier, to: UniqueIdentifier) =>
    orderProblems(moved(layers, placeOf(from), placeOf(to)));
  const [hovered, setHovered] = useState<readonly [number, number] | null>(null);
  const problems = orderProblems(hovered ? moved(layers, hovered[0], hovered[1]) : layers);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
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
      <DndContext
        id="layers"
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[restrictToVerticalAxis, restrictToParentElement]}
        accessibility={{ announcements: announcementsOf(nameAt, problemsAt) }}
        onDragOver={({ active, over }) => setHovered(over ? [placeOf(active.id), placeOf(over.id)] : null)}
        onDragCancel={() => setHovered(null)}
        onDragEnd={({ active, over }) => {
          setHovered(null);
          if (over && over.id !== active.id) move(placeOf(active.id), placeOf(over.id));
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className={styles.layers}>
            {layers.map((layer, i) => {
              const name = layerName(layer, productIds[i] ?? null, shelf);
              return (
                <LayerRow key={ids[i]!} id={ids[i]!} name={name}>
                  <span className={styles.name}>{name}</span>
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
                  <span className={styles.about}>
                    <span className={styles.dose}>
                      {productRoles[layer.role].label.toLowerCase()}
                      {placesOnly(layer) && `, ${placesOnly(layer)}`}
                      {doses[i] && doseWords(layer.role, doses[i], handUnits, units)}
                    </span>
                    {doses[i] && doses[i].amount !== 'right' && (
                      <span className={styles.flag}>
                        {doses[i].amount === 'much' ? 'much' : 'little'} for this hair:{' '}
                        {formatMass(doses[i].recommendedGrams, units)} is usual
                      </span>
                    )}
                  </span>
                </LayerRow>
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
      <div role="status">
        {problems.map((words) => (
          <p key={words} className={styles.order} data-moving={hovered !== null}>
            {hovered ? 'There: ' : ''}
            {words}
          </p>
        ))}
      </div>
      {layers.length < 8 && (
        <label className={styles.add}>
          <span className="visually-hidden">Add a layer</span>
          <select value="" onChange={(event) => add(event.target.value)}>
            <option value="">Add a layer…</option>
            {shelf.length > 0 && (
              <optgroup label="On your shelf">
                {shelf
                  .filter(({ role }) => isLayerKind(role))
                  .map((product) => (
                    <option key={product.id} value={product.id}>
                      {product.name}
                      {isUnmade(product) && ' (to be made first)'}
                      {warnings.get(product.name) && ` – mind: lists ${warnings.get(product.name)}`}
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
      {isTrial && layers.length > 0 && (
        <section aria-labelledby="which-half">
          <h4 id="which-half" className={styles.halves}>
            Which half each goes on
          </h4>
          {layers.map((layer, i) => (
            <HalfOfLayer
              key={ids[i]!}
              name={layerName(layer, productIds[i] ?? null, shelf)}
              half={layer.half}
              onChange={(half) =>
                onChange(
                  layers.map((before, j) => (j === i ? { ...before, half } : before)),
                  [...productIds],
                )
              }
            />
          ))}
        </section>
      )}
      <details className={styles.details}>
        <summary>Take another amount</summary>
        {layers.map((layer, i) => {
          const name = layerName(layer, productIds[i] ?? null, shelf);
          const dose = doses[i];
          const sections =
            dose && dose.gramsPerSection > 0 ? Math.round(dose.grams / dose.gramsPerSection) : null;
          const grams = layer.grams ?? dose?.grams ?? 0;
          const take = (next: number) =>
            onChange(
              layers.map((before, j) => (j === i ? { ...before, grams: next } : before)),
              [...productIds],
            );
          return (
            <div key={`${i}-${layer.role}`} className={styles.amounts}>
              <NumberField
                label={`${name}, ${placesOnly(layer) ? 'there' : 'for the head'}`}
                unit="g"
                value={Math.round(grams * 10) / 10}
                {...LAYER_RANGES.grams}
                step={1}
                onCommit={take}
              />
              {sections !== null && (
                <NumberField
                  label={`${name}, a section`}
                  unit="g"
                  value={Math.round((grams / sections) * 100) / 100}
                  low={LAYER_RANGES.grams.low / sections}
                  high={Math.floor((10 * LAYER_RANGES.grams.high) / sections) / 10}
                  step={0.1}
                  onCommit={(each) => take(each * sections)}
                />
              )}
            </div>
          );
        })}
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
        <summary>Only in some places</summary>
        {layers.map((layer, i) => (
          <ZonesOfLayer
            key={`${i}-${layer.role}`}
            name={layerName(layer, productIds[i] ?? null, shelf)}
            zones={layer.zones}
            onChange={(zones) =>
              onChange(
                layers.map((before, j) => (j === i ? { ...before, zones } : before)),
                [...productIds],
              )
            }
          />
        ))}
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
