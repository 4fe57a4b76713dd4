import { perZone, type PerZone, type Zone } from '../hair/zone';
import { shareOut } from '../parting/generate';
import type { Layout, LaidSection } from '../parting/layout';
import type { Quadrant } from '../parting/quadrant';
import { zoneShares } from '../parting/zone-outlines';

const QUADRANTS_OF: Readonly<Record<Zone, readonly Quadrant[]>> = {
  nape: ['back-left', 'back-right'],
  back: ['back-left', 'back-right'],
  left: ['front-left'],
  right: ['front-right'],
  crown: ['front-left', 'front-right'],
  front: ['front-left', 'front-right'],
};
/** Working order of the zones. */
const ORDER: readonly Zone[] = ['nape', 'back', 'left', 'right', 'crown', 'front'];

const SHARES = zoneShares();

/** Sections of each zone in working order; as many on the left as on the right. */
function countsOf(count: number, sizes: PerZone<number>): number[] {
  if (count < ORDER.length)
    return ORDER.map((zone) => (zone === 'back' || zone === 'crown' ? Math.ceil(count / 2) : 0));
  const counts = shareOut(
    ORDER.map((zone) => SHARES[zone] / sizes[zone]),
    count,
  );
  const [left, right, crown] = (['left', 'right', 'crown'] as const).map((zone) => ORDER.indexOf(zone));
  const side = Math.min(counts[left!]!, counts[right!]!);
  counts[crown!]! += counts[left!]! + counts[right!]! - 2 * side;
  counts[left!] = side;
  counts[right!] = side;
  return counts;
}

const NO_LINES: Layout['recipe'] = {
  version: 2,
  circumferenceCm: 56,
  pattern: 'brick',
  part: { kind: 'none', points: [] },
  trial: false,
  panels: [],
  splits: [],
  merges: [],
  exclude: [],
  marks: {},
};

/**
 * Sections shared out over the zones, without cutting the scalp: enough for everything but a picture.
 *
 * @param sizes how large sections of a zone are against the others
 */
export function sketch(count: number, sizes: PerZone<number> = perZone(() => 1)): Layout {
  const counts = countsOf(count, sizes);
  const sections = ORDER.flatMap((zone, z) =>
    Array.from({ length: counts[z]! }, (_, i) => ({ zone, i, of: counts[z]! })),
  ).slice(0, count);
  const whole = sections.reduce((sum, { zone }) => sum + sizes[zone], 0);
  return {
    recipe: NO_LINES,
    sections: sections.map(({ zone, i, of }, at): LaidSection => {
      const quadrants = QUADRANTS_OF[zone];
      const isLeft = quadrants.length === 1 ? zone === 'left' : i < of / 2;
      return {
        number: at + 1,
        key: '',
        panel: 'W',
        row: 0,
        col: at,
        zone,
        side: isLeft ? 'left' : 'right',
        quadrant: quadrants.length === 1 ? quadrants[0]! : quadrants[isLeft ? 0 : 1]!,
        share: sizes[zone] / whole,
        centroid: { x: 0, y: 0 },
        outline: [],
        frame: null,
        winding: 'to-right',
        product: null,
        spine: null,
      };
    }),
    unplaced: [],
    partLine: null,
  };
}
