import type { z } from 'zod';
import type { briefInput } from '../formats/brief';
import { type Zone } from '../hair/zone';

/** A brief as the plan desk edits it. */
export type DraftBrief = z.input<typeof briefInput>;

export type DraftSet = DraftBrief['set'];

export type DraftTool = NonNullable<DraftSet['tool']>;

export type DraftLayer = NonNullable<DraftSet['layers']>[number];

/** How a draft is parted. */
export type DraftParting = NonNullable<DraftBrief['parting']>;

/** What a draft says of one zone. */
export type ZoneDraft = NonNullable<NonNullable<DraftSet['zones']>[Zone]>;

/** What a plan decides. */
export interface PlanContent {
  readonly title: string;
  readonly brief: DraftBrief;
  readonly layerProductIds: readonly (string | null)[];
}

/** A product as the plan desk offers it. */
export interface ShelfProduct {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  readonly waterShare: number | null;
  readonly hold: number | null;
  readonly weight: number | null;
  readonly hasProtein: boolean;
  readonly leftG: number | null;
  readonly usedSinceG: number;
  readonly sizeG: number | null;
  readonly priceMinor: number | null;
  readonly useBy: string | null;
  readonly mixId: string | null;
  readonly openedOn: string | null;
  readonly ingredients: string;
}

/** A fan, hood or diffuser as the plan desk offers it. */
export interface ShelfDryer {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly airSpeedMS: number;
  readonly airC: number | null;
  readonly count: number;
}

/** A size of tool as the plan desk offers it. */
export interface ShelfTool {
  readonly id: string;
  readonly kind: string;
  readonly diameterMm: number;
  readonly workingLengthMm: number;
  readonly owned: number;
  readonly swatch: string;
}
