import type { TechniqueId } from '../techniques';
import { card, type Card } from './card';
import { arrow, cross, finger, moved, plait, tick, together, turning } from './pen';
import {
  closedEnd,
  closedRod,
  coiledTip,
  finished,
  firstTurn,
  flexible,
  former,
  hanging,
  hangingCoil,
  heldTip,
  knotted,
  lane,
  leaves,
  overRod,
  parted,
  plaiting,
  rows,
  smoothed,
  split,
  twirled,
  winding,
} from './scenes';

const short = {
  path: [
    [60, 26],
    [60, 160],
  ] as const,
  width: 24,
};

/** One card a technique. */
export const techniqueCards: Readonly<Record<TechniqueId, Card>> = {
  'two-strand-twist': card(
    'Two-strand twist',
    [
      ['Part; clip the rest away', parted],
      ['Split it in two equal strands', () => split(2)],
      [
        'Right over left, one way, all the way down',
        () =>
          together(
            winding(2, 0.4),
            arrow([
              [176, 70],
              [184, 104],
              [166, 134],
            ]),
          ),
      ],
      [
        'A finger between keeps them apart',
        () => together(winding(2, 0.62), finger([120, 178], [120, 128], 16)),
      ],
      ['Coil the tip round a finger', coiledTip],
    ],
    'Strands that mix will not come apart: they fray at takedown. Unequal strands: the thin one stands out as a loop.',
    'Soaking hair clumps more and lies smoother; damp hair sets sooner.',
  ),
  'double-two-strand-twist': card(
    'Double twist',
    [
      ['Roll each of two strands the same way', () => split(2, true)],
      [
        'Wind them about each other the other way',
        () => together(winding(2, 0.5), turning([120, 84], false)),
      ],
      ['Coil the tip; it holds by itself', coiledTip],
      ['It leaves a tight curl', () => leaves(moved(finished(2), -56, 0), hangingCoil(172, 12))],
    ],
    'Rolled and wound the same way, it unwinds as soon as it is let go.',
    'More roll is a tighter curl and more time; less is softer.',
  ),
  'three-strand-twist': card(
    'Three-strand twist',
    [
      ['Split it in three equal strands', () => split(3)],
      ['Each over the next, always one way', () => together(winding(3, 0.5), turning([120, 96], true))],
      [
        'Keep all three apart to the tip',
        () => together(winding(3, 0.75), finger([120, 178], [120, 140], 14)),
      ],
      ['Coil the tip round a finger', coiledTip],
    ],
    'Turned by turns instead of one way it becomes a braid: crimp, not curl.',
    'Twisted it is rounder and quicker; braided it holds firmest.',
  ),
  'flat-twist': card(
    'Flat twist',
    [
      ['Take two small strands at the hairline', () => lane(0)],
      [
        'Cross them; pick up hair with each turn',
        () =>
          together(
            lane(0.55),
            arrow([
              [150, 40],
              [146, 58],
              [138, 74],
            ]),
            arrow([
              [150, 146],
              [146, 128],
              [138, 112],
            ]),
          ),
      ],
      ['Off the scalp, twist it free to the tip', () => lane(1)],
      ['Rows follow how it will be worn', () => rows(5)],
    ],
    'Hair picked up from beyond the part lifts the row; a tight first turn pulls at the hairline.',
    'Few rows stretch; eight or more define.',
  ),
  braid: card(
    'Braid',
    [
      ['Split it in three equal strands', () => split(3)],
      [
        'Outer over middle, left and right by turns',
        () =>
          together(
            plaiting(0.5),
            arrow([
              [62, 96],
              [84, 100],
              [100, 106],
            ]),
            arrow([
              [178, 96],
              [156, 100],
              [140, 106],
            ]),
          ),
      ],
      ['The same pull to the tip', () => plaiting(1)],
      ['It leaves a crimp', () => leaves(plait(short), hangingCoil(172, 9))],
    ],
    'Uneven pull shows as bulges; a tight start shows as bumps at the scalp: undo it.',
    'Braided wet it is smooth; on stretched hair it dries in an hour.',
  ),
  'braid-with-rods': card(
    'Braid, rods on the ends',
    [
      ['Outer over middle, left and right by turns', () => plaiting(0.55)],
      ['Stop 2½ cm short; twist the tip', () => plaiting(0.8)],
      ['Lay the ends flat and roll them on the rod', () => heldTip('rod')],
      ['Close it across the braid, off the skin', closedEnd],
    ],
    'Ends that bend over the rod show as hooks. A rod that hangs heavy pulls the root.',
    'Braided to the tip holds longer; a short braid undoes quicker.',
  ),
  'bantu-knot': card(
    'Bantu knot',
    [
      [
        'Roll it until it bends by itself',
        () => together(winding(2, 1, ['dark', 'dark']), turning([120, 100], true)),
      ],
      ['First turn slack: winding will tighten it', firstTurn],
      ['Wind down round its own base', () => knotted(0.7)],
      ['Tuck, pin or band the end', () => heldTip('tuck')],
      ['If it pulls, undo a turn', () => together(knotted(1), cross([40, 40]))],
    ],
    'A shine of stretched skin round the base means it is too tight: it must not be slept in.',
    'Rolled it springs; as a two-strand twist three quarters down and then twirled, it is wider.',
  ),
  'rod-set': card(
    'Rod set',
    [
      ['Comb product through until it is smooth', smoothed],
      ['Lay the ends flat on the rod; no bent tips', () => overRod(false)],
      [
        'Wind edge to edge, no gaps',
        () =>
          together(
            overRod(true),
            arrow([
              [188, 96],
              [204, 112],
              [188, 134],
            ]),
          ),
      ],
      ['Close it across the root', closedRod],
      ['Too much hair for one layer: the next size up', () => together(closedRod(), tick([206, 150]))],
    ],
    'Bent tips are hooks for good. A gap between turns is a dent; band on the skin is a mark.',
    'Gel lasts and lies firm; mousse is softer and dries sooner.',
  ),
  'flexible-rod-set': card(
    'Flexible rod set',
    [
      ['Begin at the tip; wind without overlap', () => flexible(0)],
      ['Bend the root end over to close', () => flexible(1)],
      ['Or fold both ends in', () => flexible(2)],
    ],
    'Turns that overlap dry last and come out of two sizes.',
    'Closed at the root fits more rods; folded at both ends holds firmer.',
  ),
  'spiral-former': card(
    'Spiral former',
    [
      ['Put the hook through the straightened sleeve', () => former('hooked')],
      ['Catch the root and pull it through', () => former('caught')],
      ['Let it spring; straighten doubled turns', () => former('sprung')],
      ['When dry, hold the root and slide it off downward', () => former('off')],
    ],
    'Pulled off sideways it drags the curl out. It finishes shorter than one expects.',
    'Only on stretched hair: on shrunken hair the sleeve catches.',
  ),
  'finger-coil': card(
    'Finger coils',
    [
      ['Smooth product through, root to tip', smoothed],
      ['Twirl it round the finger, one way', () => twirled('finger')],
      [
        'Slide out downward; do not pull',
        () =>
          together(
            hanging([120], (x) => hangingCoil(x, 15)),
            arrow([
              [166, 90],
              [170, 124],
              [166, 156],
            ]),
          ),
      ],
      ['Leave it hanging until it is dry', () => hanging([64, 102, 140, 178], (x) => hangingCoil(x, 13))],
    ],
    'Touched while damp it clouds. Begun off the root it hangs from a loop.',
    'Gel wears longest; cream is softer and shrinks more.',
  ),
  'comb-coil': card(
    'Comb coils',
    [
      ['Smooth product through, root to tip', smoothed],
      ['Set the comb at the root', () => twirled('comb')],
      [
        'Turn it on the spot and draw it out downward',
        () =>
          together(
            twirled('comb'),
            arrow([
              [40, 60],
              [36, 100],
              [40, 140],
            ]),
          ),
      ],
      ['Leave it hanging until it is dry', () => hanging([64, 102, 140, 178], (x) => hangingCoil(x, 9))],
    ],
    'Turned while it is drawn out it comes out uneven: thick above, thin below.',
    'A comb for small ringlets; a brush for rounder ones.',
  ),
  shingling: card(
    'Shingling',
    [
      ['Take a fine slice; product all over it', smoothed],
      ['Finger and thumb from root to tip, wound its own way', () => twirled('finger')],
      ['Let each curl fall and leave it', () => hanging([56, 84, 112, 140, 168], (x) => hangingCoil(x, 8))],
    ],
    'Too little product leaves a frizzy slice among clean ones: go over it while it is wet.',
    'Fingers keep clumps; a brush makes more of them, thinner.',
  ),
};
