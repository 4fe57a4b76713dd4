import type { FlatTones } from '@/core/round/flat-svg';
import { HAIR_TONES, hairTone, skinTone } from '../crown-map/tones';

/** Colours of a head, as they are written in style sheets. */
export interface RoundTones {
  readonly skin: string;
  /** Of its outlines, where it is drawn flat. */
  readonly skinEdge: string;
  /** Of hair where it grows out, and along its length. */
  readonly root: string;
  readonly length: string;
}

/** What of hair is coloured along its length, and grows out in its own tone. */
const COLOURED = ['bleached', 'coloured'];

/** Colours of a head: of coloured hair the length is as it was noted, and the root its own dark. */
export function roundTones(skin: string, hair: string, conditions: readonly string[]): RoundTones {
  const length = hairTone(hair).stroke;
  const isColoured = hair === 'blonde' || conditions.some((condition) => COLOURED.includes(condition));
  const { fill, edge } = skinTone(skin);
  return { skin: fill, skinEdge: edge, root: isColoured ? HAIR_TONES['dark-brown'].stroke : length, length };
}

/** The same for a head that is drawn flat. */
export const flatTones = ({ skin, skinEdge, length }: RoundTones): FlatTones => ({
  skin,
  skinEdge,
  hair: length,
  tool: TOOL_TONE,
});

/** Of rods and formers. */
export const TOOL_TONE = '#d8a53c';
