import type { FramePoint } from '../sphere/crown-chart';

/** The six zones of the crown map, from the face to the nape. Left and right are the client's own. */
export const ZONES = ['front', 'crown', 'left', 'right', 'back', 'nape'] as const;
export type Zone = (typeof ZONES)[number];

/** A value for each zone. */
export type PerZone<T> = Readonly<Record<Zone, T>>;

/** Builds a per-zone record. */
export const perZone = <T>(valueOf: (zone: Zone) => T): PerZone<T> =>
  Object.fromEntries(ZONES.map((zone) => [zone, valueOf(zone)])) as Record<Zone, T>;

/** What a stylist calls each zone. */
export const ZONE_LABEL: PerZone<string> = {
  front: 'front',
  crown: 'crown',
  left: 'left side',
  right: 'right side',
  back: 'back',
  nape: 'nape',
};

/** Zone borders in the row frame (parting-map §1, zones). */
export const ZONE_BORDER = { nape: -1.06, ear: -0.32, front: 0.64, side: 0.54 } as const;

/** The zone that a point of the scalp belongs to. */
export function zoneAt({ f, t }: Pick<FramePoint, 'f' | 't'>): Zone {
  if (t < ZONE_BORDER.nape) return 'nape';
  if (t < ZONE_BORDER.ear) return 'back';
  if (f < -ZONE_BORDER.side) return 'left';
  if (f > ZONE_BORDER.side) return 'right';
  return t > ZONE_BORDER.front ? 'front' : 'crown';
}
