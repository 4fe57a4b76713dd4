import { hair } from '../coefficients/hair';
import { equilibriumRegain } from './sorption';

/** What the measure of dryness of a place hangs on: how wet it was set, in what room, and what hair it is. */
export interface WettedPlace {
  /** Moisture as it is set, product included, g per g. */
  readonly start: number;
  readonly roomHumidity: number;
  readonly porosityFactor: number;
}

/** What the air of a room gives hair, g per g; in dry air that of an ordinary room, which is dry enough. */
export const restingRegain = (roomHumidity: number, porosityFactor: number): number =>
  equilibriumRegain(Math.max(hair.value.ordinaryHumidity, roomHumidity), porosityFactor);

/**
 * Moisture at which a place counts as dry, g per g: what firm hair holds, below the glass transition, and never so
 * much that hair which was wetted would start dry. One measure for all steps of a sequence, so that a hood is never
 * later than air.
 *
 * @source overnight §6
 * @example dryMoisture({ start: 0.6, roomHumidity: 0.45, porosityFactor: 1 }) // => 0.1572
 */
export function dryMoisture({ start, roomHumidity, porosityFactor }: WettedPlace): number {
  const { dryAirHumidity, dampRoomMargin, glassRegain, keptOfWetting, traceRegain } = hair.value;
  const firm = equilibriumRegain(
    Math.min(1, Math.max(dryAirHumidity, roomHumidity + dampRoomMargin)),
    porosityFactor,
  );
  const rest = restingRegain(roomHumidity, porosityFactor);
  return Math.min(firm, glassRegain, rest + Math.max(traceRegain, keptOfWetting * (start - rest)));
}

/**
 * The same where every step is hot: no looser because the room outside the hood is damp, yet never later than open
 * air would be.
 *
 * @param atHotStart moisture when the hot air begins, g per g
 * @source overnight §6
 */
export function dryMoistureInHotAir(place: WettedPlace, atHotStart: number): number {
  const inRoom = dryMoisture(place);
  const inOrdinaryRoom = dryMoisture({ ...place, roomHumidity: hair.value.ordinaryHumidity });
  return Math.max(
    Math.min(inRoom, inOrdinaryRoom),
    inRoom - hair.value.hotDryingShare * Math.max(0, atHotStart - inRoom),
  );
}
