import type { BriefInput } from '../formats/brief';
import type { DryingStep } from '../drying/dry-run-input';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import { isoWithOffset } from '../plan/iso-time';
import { techniqueOf } from '../techniques';
import { ZONES } from '../hair/zone';
import { methodsOf } from './brief-of-way';
import { timesOf } from './ask';
import type { Pick } from './search';
import type { Way } from './way';
import type { Asked } from './ways';
import { isUneven } from './zone-sizes';

const toolInput = ({ set }: Way) =>
  set.tool && {
    diameterMm: set.tool.diameterMm,
    workingLengthMm: set.tool.workingLengthMm,
    owned: set.tool.owned,
  };

/** A step of drying as a brief writes it: what its machine gives stands only where it is not what is usual. */
function stepInput({ method, hours }: DryingStep) {
  const id = method.id as DryingMethodId;
  const usual = dryingMethods[id];
  return {
    method: id,
    hours,
    ...(method.airSpeedMS === usual.airSpeedMS ? {} : { airSpeedMS: method.airSpeedMS }),
    ...(method.airC === null || method.airC === usual.airC ? {} : { airC: method.airC }),
  };
}

/**
 * A brief done one way, as it is written.
 *
 * @param told the brief that was asked with: head, room, sleep, part, hand and times stay as they were written
 */
export function briefOfPick(told: BriefInput, asked: Asked, { way, tried }: Pick): BriefInput {
  const { set, startState, stack, habit } = way;
  const { base } = asked;
  const sizes = base.parting.sizes;
  const isLanes = techniqueOf(set.technique).usualPattern.startsWith('lanes');
  const zones = Object.entries(set.zones);
  const { startMs } = timesOf(base);
  return {
    ...told,
    set: {
      technique: set.technique,
      sections: set.sections,
      ...methodsOf(techniqueOf(set.technique), way, set.tool),
      startState,
      tool: toolInput(way),
      layers: stack.layers.map(({ role, waterShare, hold, weight, protein }) => ({
        role,
        ...(waterShare === undefined ? {} : { waterShare }),
        ...(hold === undefined ? {} : { hold }),
        ...(weight === undefined ? {} : { weight }),
        ...(protein === undefined ? {} : { protein }),
      })),
      brushedThrough: base.set.brushedThrough,
      blotted: base.set.blotted,
      hand: base.set.hand,
      knot: { prepared: base.set.knot.prepared, turns: base.set.knot.turns ?? undefined },
      fastened: base.set.fastened,
      ...(zones.length === 0
        ? {}
        : {
            zones: Object.fromEntries(
              zones.map(([zone, id]) => [
                zone,
                { technique: id, ...methodsOf(techniqueOf(id), way, null), tool: null },
              ]),
            ),
          }),
    },
    parting: {
      ...(told.parting?.part ? { part: told.parting.part } : {}),
      ...(told.parting?.trial ? { trial: true } : {}),
      ...(told.parting?.winding ? { winding: told.parting.winding } : {}),
      ...(isUneven(sizes) && !isLanes
        ? { zoneSize: Object.fromEntries(ZONES.map((zone) => [zone, sizes[zone]])) }
        : {}),
    },
    wear: { ...base.wear, ...habit, after: [...base.wear.after] },
    prep: base.prep?.map(({ step, product }) => ({ step, ...(product ? { product } : {}) })),
    drying: tried.steps.map(stepInput),
    ...(base.wearByMs === null ? {} : { startAt: told.startAt ?? isoWithOffset(startMs, base.timeZone) }),
  };
}

/** Products of the shelf that its layers are. */
export const productIdsOf = ({ way }: Pick): (string | null)[] =>
  way.stack.layers.map(({ productId }) => productId);
