import { FULL_SCALE } from './role';
import { productRoles, ROLE_IDS, type RoleId } from '.';

/** What a shelf holds besides layers: it is rinsed out before the set, or only goes into a mix. One row a kind. */
const washOffs = {
  mask: { label: 'Mask or conditioner, rinsed out', waterShare: 0.75 },
  clay: { label: 'Clay or another powder', waterShare: 0 },
  rinse: { label: 'Vinegar or another rinse', waterShare: 0.95 },
} as const satisfies Record<string, { readonly label: string; readonly waterShare: number }>;

/** Kinds of product on a shelf: every role of a layer, and what is rinsed out again. */
export type ShelfKindId = RoleId | keyof typeof washOffs;
/** Their ids, as they are offered. */
export const SHELF_KIND_IDS = [...ROLE_IDS, ...Object.keys(washOffs)] as ShelfKindId[];

/** What is usual of a kind of product; hold and weight from 0 to 5. Water shares of what is rinsed out: common practice. */
export interface ShelfKind {
  readonly label: string;
  readonly waterShare: number;
  readonly hold: number;
  readonly weight: number;
}

/** Whether a kind of product can be a layer of a set. */
export const isLayerKind = (kind: string): kind is RoleId => kind in productRoles;

/** What is usual of a kind of product. */
export function shelfKind(kind: ShelfKindId): ShelfKind {
  if (!isLayerKind(kind)) return { ...washOffs[kind], hold: 0, weight: 0 };
  const { label, waterShare, hold, weight } = productRoles[kind];
  return { label, waterShare, hold: FULL_SCALE * hold, weight };
}

/** Label of a kind as a row keeps it, which may be of a newer version. */
export const shelfKindLabel = (kind: string): string =>
  isLayerKind(kind) || kind in washOffs ? shelfKind(kind as ShelfKindId).label : kind;
