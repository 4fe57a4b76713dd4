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
}

/** A layer with its dose decided. */
export type DosedLayer = Layer & { readonly grams: number };
