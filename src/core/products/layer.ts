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
}

/** Whether a layer goes on the hair of a zone. */
export const goesOn = ({ zones }: Pick<Layer, 'zones'>, zone: Zone): boolean => zones?.includes(zone) ?? true;

/** The layers that each zone gets, each different list once. */
export function layerLists<L extends Pick<Layer, 'zones'>>(layers: readonly L[]): (readonly L[])[] {
  const lists = ZONES.map((zone) => layers.filter((layer) => goesOn(layer, zone)));
  return lists.filter(
    (list, i) =>
      lists.findIndex(
        (other) => other.length === list.length && other.every((layer, j) => layer === list[j]),
      ) === i,
  );
}

/** A layer with its dose decided. */
export type DosedLayer = Layer & { readonly grams: number };
