import { drying } from '../coefficients/drying';
import { startStates, type StartStateId } from '../coefficients/start-states';
import { productRoles } from '../products';
import type { DosedLayer } from '../products/layer';
import type { Room } from './air-at-hair';
import { restingRegain } from './dry-threshold';
import { saturatedRegain } from './sorption';

/**
 * Moisture of the hair itself when it is set, g per g, before product.
 *
 * @param pickUp × the water that the state brings, 1 as usual
 * @source drying §4, start moisture and q; nearly dry is .25 in a room of 45 %, as fitted there, and its share of
 * the water that can leave in any other (our own: a fixed moisture would be no longer damp in a damp room)
 */
export function hairMoisture(state: StartStateId, porosityFactor: number, room: Room, pickUp = 1): number {
  const { moisture } = startStates[state];
  const inRoom = restingRegain(Math.min(room.relativeHumidity, WETTEST_ROOM), porosityFactor);
  switch (moisture.kind) {
    case 'free':
      return saturatedRegain(porosityFactor) + moisture.regain * pickUp;
    case 'left': {
      const dripping = saturatedRegain(porosityFactor) + startStates.dripping.moisture.regain;
      return inRoom + moisture.share * pickUp * (dripping - inRoom);
    }
    case 'added':
      return inRoom + moisture.regain * pickUp;
  }
}

/** Air damper than this is treated as this: nothing dries beyond it (drying §10). */
export const WETTEST_ROOM = drying.value.wettestRoom;

/**
 * Moisture after a towel was pressed on hair with its products in it, g per g: it reaches the water between the hairs.
 *
 * @source overnight §4
 * @example blotted(0.75, 1) // => 0.613
 */
export function blotted(moisture: number, porosityFactor: number): number {
  const { towelShare, towelLeaves } = drying.value;
  return moisture - towelShare * Math.max(0, moisture - saturatedRegain(porosityFactor) - towelLeaves);
}

const waterShareOf = (layer: DosedLayer) => layer.waterShare ?? productRoles[layer.role].waterShare;

/** Water that products bring, g per g of dry hair. */
export const productWaterPerG = (layers: readonly DosedLayer[], dryMassG: number): number =>
  layers.reduce((sum, layer) => sum + (layer.grams / dryMassG) * waterShareOf(layer), 0);

/** Resistance of the dried films, s/m (drying §4). */
export const filmResistanceSM = (layers: readonly DosedLayer[], dryMassG: number): number =>
  layers.reduce(
    (sum, layer) =>
      sum + 10 * (layer.grams / dryMassG) * (1 - waterShareOf(layer)) * productRoles[layer.role].filmSM,
    0,
  );
