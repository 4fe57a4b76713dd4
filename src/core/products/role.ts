import type { HandUnitId } from './hand-units';

/** What a kind of set product does: one file a role. */
export interface ProductRole {
  readonly id: string;
  readonly label: string;
  /** Share of the product that is water. */
  readonly waterShare: number;
  /** Film resistance, s/m per 0.1 g of solids per g of hair (fitted, drying §4). */
  readonly filmSM: number;
  /** Hold, 0 none … 1 hard cast. */
  readonly hold: number;
  /** How heavy it lies on the hair, 0 to 5 (common practice). */
  readonly weight: number;
  /** Usual dose, g per g of dry hair (set-geometry §10; fitted or assumed). */
  readonly dosePerG: number;
  /** A dose that does not depend on the hair, g a head. */
  readonly fixedDoseG?: number;
  /** What hands measure it with. */
  readonly handUnit: HandUnitId;
  readonly gramsPerMl: number;
  /** Share that does not evaporate, and share of that left by each wash (set-geometry §10, assumed). */
  readonly residue: { readonly stays: number; readonly leftPerWash: number };
  /** Holds in whatever is, or is not, under it: never the first layer. */
  readonly isSealant: boolean;
  /** Holds the shape of the set once dry. */
  readonly isHold: boolean;
}

/** Full scale of hold and weight as products state them; roles state a share of it. */
export const FULL_SCALE = 5;

/** Keeps the literal id of a role. */
export const defineRole = <const R extends ProductRole>(role: R): R => role;
