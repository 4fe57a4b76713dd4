import { afterwards } from '../coefficients/afterwards';
import { fastened } from '../coefficients/fastened';
import type { Brief } from '../brief/brief';
import { ZONE_LABEL } from '../hair/zone';
import { windingPatterns } from '../parting/winding';
import { productRoles } from '../products';
import type { Layer } from '../products/layer';
import { techniqueOf, type TechniqueId } from '../techniques';
import { KNOT_PREPARED } from '../techniques/knot-way';
import { capitalised, listed, plural } from '../words/words';

type Done = Pick<Brief, 'wear' | 'parting'> & {
  readonly set: Pick<Brief['set'], 'knot' | 'fastened' | 'layers'>;
};

/** How a section of a technique is worked, beyond roots and ends: "Two-strand twisted first, two turns". */
export function workedWords({ set: { knot, fastened: closed } }: Done, id: TechniqueId): string[] {
  const technique = techniqueOf(id);
  return [
    ...(id === 'bantu-knot' && (knot.turns !== null || knot.prepared !== 'rolled')
      ? [
          [
            KNOT_PREPARED[knot.prepared].label,
            knot.turns === null ? '' : `${plural(knot.turns, 'turn')}, the rest twirled and tucked`,
          ]
            .filter(Boolean)
            .join(', '),
        ]
      : []),
    ...(technique.bends && closed !== 'root' ? [capitalised(fastened[closed].phrase)] : []),
  ];
}

/** Layers that are mixed in the hand with the one before: "Gel and cream mixed in the hand". */
export function inHandWords(layers: readonly Layer[]): string[] {
  return layers.flatMap((layer, i) => {
    const before = layers[i - 1];
    return layer.inHand && before
      ? [
          `${productRoles[before.role].label} and ${productRoles[layer.role].label.toLowerCase()} mixed in the hand, section by section`,
        ]
      : [];
  });
}

/** Where a layer goes that does not go everywhere: "front and crown only", "left half only"; empty where it does. */
export function placesOnly({ zones, half }: Pick<Layer, 'zones' | 'half'>): string {
  const places = [zones && listed(zones.map((zone) => ZONE_LABEL[zone])), half && `${half} half`];
  const named = places.filter(Boolean).join(', ');
  return named && `${named} only`;
}

/** What goes on once it is taken down; empty where nothing does. */
export const afterWords = ({ wear }: Done): string =>
  wear.after.length === 0 ? '' : `Then ${listed(wear.after.map((id) => afterwards[id].label.toLowerCase()))}`;

/** Which way it is wound, where that is not as usual. */
export const windingWords = ({ parting }: Done): string =>
  parting.winding === 'usual' ? '' : `Wound: ${windingPatterns[parting.winding].label.toLowerCase()}`;
