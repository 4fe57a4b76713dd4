/** Ways of drawing a set in the round: one file each, in `round/in-set`. */
export type InSetId =
  | 'ropes'
  | 'twice-twisted'
  | 'plait'
  | 'plait-on-rod'
  | 'lane'
  | 'knot'
  | 'rod'
  | 'bent-rod'
  | 'former'
  | 'coil'
  | 'clump';
