import type { InSetId } from '../../techniques/in-set-id';
import { bentRod } from './bent-rod';
import { clump } from './clump';
import { coil } from './coil';
import { former } from './former';
import { knot } from './knot';
import { lane } from './lane';
import { plait } from './plait';
import { plaitOnRod } from './plait-on-rod';
import { rod } from './rod';
import { ropes } from './ropes';
import type { InSet } from './set-piece';
import { twiceTwisted } from './twice-twisted';

/** Every way of drawing a set, by the name that techniques know it by. */
export const inSets: Readonly<Record<InSetId, InSet>> = {
  ropes,
  'twice-twisted': twiceTwisted,
  plait,
  'plait-on-rod': plaitOnRod,
  lane,
  knot,
  rod,
  'bent-rod': bentRod,
  former,
  coil,
  clump,
};
