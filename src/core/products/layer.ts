import { SIDES, type Side } from '../hair/half';
import { ZONES, type Zone } from '../hair/zone';
import type { RoleId } from '.';

/** One layer of product; without `grams` the recommended dose is used. */
export interface Layer {
  readonly role: RoleId;
  readonly grams?: number | undefined;
  readonly waterShare?: number | undefined;
  /** 0 to 5. */
  readonly hold?: number | undefined;
  /** 0 to 5. */
  readonly weight?: number | undefined;
  readonly protein?: boolean | undefined;
  /** Mixed in the hand with the layer before. */
  readonly inHand?: boolean | undefined;
  /** The only zones it goes on; everywhere when left out. */
  readonly zones?: readonly Zone[] | undefined;
  /** The only half it goes on, where two halves are compared; both when left out. */
  readonly half?: Side | undefined;
}

/** Where hair is: its zone, and its side where that is asked. */
export interface HairPlace {
  readonly zone: Zone;
  readonly side?: Side | 'middle' | null | undefined;
}

/** Whether a layer goes on hair: anywhere in a zone, or on one side of it. */
export const goesOn = ({ zones, half }: Pick<Layer, 'zones' | 'half'>, { zone, side }: HairPlace): boolean =>
  (zones?.includes(zone) ?? true) && (!half || !side || half === side);

/** The sides whose layers differ; one that stands for both where nothing is told by half. */
export const sidesApart = (layers: readonly Pick<Layer, 'half'>[]): readonly (Side | null)[] =>
  layers.some(({ half }) => half) ? SIDES : [null];

/** The layers that each zone gets, on either side, each different list once. */
export function layerLists<L extends Pick<Layer, 'zones' | 'half'>>(layers: readonly L[]): (readonly L[])[] {
  const lists = sidesApart(layers).flatMap((side) =>
    ZONES.map((zone) => layers.filter((layer) => goesOn(layer, { zone, side }))),
  );
  return lists.filter(
    (list, i) =>
      lists.findIndex(
        (other) => other.length === list.length && other.every((layer, j) => layer === list[j]),
      ) === i,
  );
}

/** A layer with its dose decided. */
export type DosedLayer = Layer & { readonly grams: number };
