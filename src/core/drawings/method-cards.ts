import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import { card, type Card } from './card';
import { arrow, coil, cross, finger, plait, rope, scalp, strand, tick, together, turning } from './pen';
import {
  banded,
  base,
  closedRod,
  coiledTip,
  feeling,
  finished,
  hanging,
  hangingCoil,
  heldTip,
  knotted,
  lifted,
  nightHead,
  overRod,
  plaiting,
  pressed,
  separated,
  split,
  underHood,
  winding,
} from './scenes';

/** A plaited start with a twist below it. */
const thenTwist = (isOutside: boolean) =>
  together(
    scalp(),
    plait({
      path: [
        [120, 26],
        [120, 74],
      ],
      width: 26,
      isOutside,
    }),
    rope({
      path: [
        [120, 72],
        [120, 162],
      ],
      strands: 2,
      width: 24,
      thinTo: 0.6,
    }),
  );

/** One card a way of starting roots. */
export const rootCards: Readonly<Record<RootMethodId, Card>> = {
  plain: card(
    'Plain root',
    [
      ['Begin the twist at the scalp', () => split(2)],
      ['First turn close, not tight', () => winding(2, 0.25)],
      ['Go on as you began', () => finished(2)],
    ],
    'Begun away from the scalp it hangs from a loop and the root stays puffed.',
    'Plain undoes quickest; the others lie flatter and longer.',
  ),
  braided: card(
    'Braided root',
    [
      ['Three strands at the scalp', () => split(3)],
      ['Two or three crossings, over the middle', () => plaiting(0.35)],
      ['Two of them together: twist on from there', () => thenTwist(false)],
    ],
    'Crossings that are pulled show as bumps at the hairline: undo them.',
  ),
  'outside-plaited': card(
    'Outside-plaited root',
    [
      ['Three strands at the scalp', () => split(3)],
      ['Cross each under the middle', () => plaiting(0.35, true)],
      ['It stands up; twist on from there', () => thenTwist(true)],
    ],
    'Crossed over it lies flat instead of standing; the curl then begins lower.',
  ),
  stretched: card(
    'Banded or stretched root',
    [
      [
        'Hold the root straight, away from the scalp',
        () =>
          together(
            banded(),
            arrow([
              [164, 60],
              [168, 100],
              [164, 140],
            ]),
          ),
      ],
      ['Soft bands in even steps', banded],
      ['Set the rest below the last band', () => together(banded(), tick([196, 150]))],
    ],
    'A band that bites leaves a dent and breaks hair: slide it, never roll it, out.',
  ),
};

/** One card a way of holding ends. */
export const endsCards: Readonly<Record<EndsMethodId, Card>> = {
  twisted: card(
    'Twisted to the tip',
    [
      ['Keep both strands equal to the last finger’s width', () => finished(2)],
      ['Turn the tip tighter than the rest', () => heldTip('twist')],
      ['Smooth product over it once more', () => together(finished(2), finger([210, 150], [138, 140], 16))],
    ],
    'A tip that is not wetted again opens first, and the whole piece follows it.',
  ),
  'finger-coiled': card(
    'Coiled on a finger',
    [
      ['Wet the tip again', () => finished(2, 130)],
      ['Wind it round the finger, flat', coiledTip],
      [
        'Slide it off; it springs up',
        () =>
          together(
            scalp(),
            rope({
              path: [
                [120, 26],
                [120, 116],
              ],
              strands: 2,
              width: 28,
              thinTo: 0.6,
            }),
            coil(
              [
                [120, 116],
                [120, 166],
              ],
              13,
            ),
          ),
      ],
    ],
    'Coiled the other way than the twist, it opens the twist.',
  ),
  rod: card(
    'A small rod',
    [
      ['Stop 2½ cm short', () => finished(2, 118)],
      ['Lay the ends flat on the rod', () => heldTip('rod')],
      ['Roll up and close, off the skin', () => together(heldTip('rod'), tick([204, 160]))],
    ],
    'Ends that bend over the rod are hooks for good.',
  ),
  band: card(
    'A band',
    [
      ['Wind to the last finger’s width', () => finished(2)],
      ['A soft band, twice round', () => heldTip('band')],
      ['Cut it off later; do not pull it', () => together(heldTip('band'), cross([196, 130]))],
    ],
    'Bare rubber breaks the ends it holds.',
  ),
  pin: card(
    'A pin',
    [
      ['Lay the end round the base', () => knotted(0.9)],
      ['Slide the pin in flat, along the scalp', () => heldTip('pin')],
      [
        'It must not press: lie on it with a hand',
        () => together(heldTip('pin'), finger([226, 60], [158, 92], 18)),
      ],
    ],
    'A pin that stands up comes out asleep, and the knot with it.',
  ),
  pasted: card(
    'Ends pasted flat',
    [
      ['Product on the last 5 cm', () => heldTip('paste')],
      [
        'Press them between two fingers until they are one sheet',
        () => together(heldTip('paste'), tick([200, 60])),
      ],
      ['Then wind: the tip lies first', () => overRod(false)],
    ],
    'One hair that bends back shows as a hook when it is dry.',
  ),
  tucked: card(
    'Tucked',
    [
      ['Wind to the end', () => knotted(1)],
      ['Lift the last turn and put the end under', () => heldTip('tuck')],
      ['It holds by itself', () => together(knotted(1), tick([210, 40]))],
    ],
    'Too short to go under twice round: pin it.',
  ),
};

/** What is done to every set, whatever its technique. */
export const finishCards = {
  drying: card(
    'Drying',
    [
      ['Press water out with a towel; do not rub', pressed],
      [
        'Mist again what dried while it waited',
        () =>
          together(
            finished(2),
            arrow([
              [196, 60],
              [172, 70],
              [150, 84],
            ]),
          ),
      ],
      ['Hood: cover the ears, set the time, let it cool', underHood],
    ],
    'Hot air from one side dries the outside and leaves the root wet.',
    'Overnight or longer in the open; or heat, and worn today.',
  ),
  checking: card(
    'Is it dry?',
    [
      ['Feel a root, the thickest piece, and the nape', feeling],
      [
        'Springy and drawn up is dry',
        () =>
          together(
            scalp(),
            coil(
              [
                [120, 28],
                [120, 112],
              ],
              17,
            ),
            tick([182, 96]),
          ),
      ],
      ['Cold may be damp, or only cool: wait and feel again', () => together(feeling(), cross([56, 120]))],
    ],
    'The outside is always dry before the inside of the root.',
  ),
  takedown: card(
    'Taking down',
    [
      [
        'A little oil on the fingertips, or none',
        () =>
          together(
            finger([60, 176], [60, 92], 24),
            finger([104, 176], [104, 80], 24),
            finger([148, 176], [148, 84], 24),
            tick([196, 60]),
          ),
      ],
      [
        'Begin at the ends, at the back',
        () =>
          together(
            finished(2),
            arrow([
              [176, 160],
              [184, 130],
              [176, 100],
            ]),
          ),
      ],
      [
        'Unroll against the turn; pull nothing through',
        () => together(winding(2, 0.55), turning([120, 96], false)),
      ],
      ['Let each curl fall before the next', () => hanging([80, 120, 160], (x) => hangingCoil(x, 13))],
    ],
    'Pulled apart from the root it frizzes all the way down.',
    'Oil guards clumps; dry hands keep it light.',
  ),
  separating: card(
    'Separating',
    [
      ['Find where it wants to part, from the ends', () => separated(1)],
      [
        'Open it sideways, in two',
        () =>
          together(
            separated(2),
            arrow([
              [108, 120],
              [84, 116],
              [66, 118],
            ]),
            arrow([
              [132, 120],
              [156, 116],
              [174, 118],
            ]),
          ),
      ],
      ['More only where it still parts by itself', () => separated(3)],
    ],
    'Split where it does not part, the clump is gone: frizz for as long as it is worn.',
    'Few pieces last; many are fuller at once.',
  ),
  fluffing: card(
    'Fluffing',
    [
      ['Lift at the roots, fingers or a pick', lifted],
      ['Stop before the ends', () => together(lifted(), cross([206, 150]))],
      [
        'The part and the edges last',
        () =>
          together(
            base(),
            strand(
              [
                [120, 84],
                [120, 146],
              ],
              () => 4,
              'dark',
              1,
            ),
          ),
      ],
    ],
    'A pick drawn through to the ends takes days off it.',
    'Roots first hides the parts at once; pieces first, and the pick last, keeps them cleaner.',
  ),
  night: card(
    'At night',
    [
      ['A loose gather, high up', () => nightHead('gather')],
      ['Or a scarf, free at the back', () => nightHead('scarf')],
      ['A roomy bonnet, its edge on skin', () => nightHead('bonnet')],
      ['Rods and knots: nothing that presses', () => together(closedRod(), cross([60, 140]))],
    ],
    'A tight gather stretches the crown flat and pulls at the hairline.',
    'A gather keeps its size; a scarf flattens; big re-twists stretch it day by day.',
  ),
} as const satisfies Record<string, Card>;
