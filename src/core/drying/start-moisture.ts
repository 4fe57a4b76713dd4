import { startStates, type StartStateId } from '../coefficients/start-states';
import { productRoles } from '../products';
import type { DosedLayer } from '../products/layer';
import type { Room } from './air-at-hair';
import { equilibriumRegain, saturatedRegain } from './sorption';

/** Moisture of the hair itself when it is set, g per g, before product. */
export function hairMoisture(state: StartStateId, porosityFactor: number, room: Room): number {
  const { moisture } = startStates[state];
  if (moisture.kind === 'free') return saturatedRegain(porosityFactor) + moisture.regain;
  const inRoom = equilibriumRegain(Math.min(room.relativeHumidity, WETTEST_ROOM), porosityFactor);
  return moisture.kind === 'fixed' ? Math.max(moisture.regain, inRoom) : inRoom;
}

/** Air damper than this is treated as this: nothing dries beyond it (drying §10). */
export const WETTEST_ROOM = 0.95;

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
