import { coefficients } from './coefficient';

/**
 * How hair lies in a set: angles, slack and how far each form stands out (set-geometry §3–5, §8). What a technique
 * shares with no other stands in its own file; these are shapes, which several read.
 */
export const setShape = coefficients({
  twistLay: [40, '°', 32, 48, 'A', 'hair to the axis of a two-strand twist; a loose or firm hand is 8° off'],
  doubleTwistLay: [42, '°', 34, 50, 'A', 'of a twist of twists'],
  threeStrandLay: [38, '°', 30, 46, 'A', 'of a three-strand twist'],
  flatTwistLay: [28, '°', 20, 36, 'A', 'of a flat twist'],
  flatTwistRopeMm: [8.5, 'mm', 6, 11, 'A', 'rope of a flat twist that is turned so much: eight on a head'],
  flatTwistLoosens: [0.5, '–', 0.2, 0.8, 'F', 'power by which a thicker one is turned less: five or six stretch most'],
  flatTwistAtStart: [0.4, 'share', 0.2, 0.6, 'A', 'of its rope there is at the start of the row; the rest is picked up'],
  twiceTwistedOwn: [0.25, '–', 0.2, 0.3, 'A', 'radius of the first twist over that of the pair, three turns to one'],
  plaitSwing: [0.6, 'ropes', 0.4, 0.8, 'A', 'how far a strand of a plait swings in depth'],
  plaitPitch: [9, 'ropes', 7, 11, 'A', 'length of plait in which a strand is back in its place'],
  knotLay: [35, '°', 27, 43, 'A', 'hair to the axis of the rope of a knot'],
  knotCone: [35, '°', 25, 45, 'A', 'how steeply a knot climbs its own post'],
  knotPostShare: [0.25, 'share', 0.15, 0.35, 'A', 'most of the rope that stands as the post'],
  knotPostRopes: [1.5, 'ropes', 1, 2, 'A', 'height of the post'],
  knotPitch: [0.25, 'share', 0.15, 0.4, 'A', 'least pitch of a turn of a knot, of its radius'],
  knotSlackPerTurn: [0.04, '–', 0.02, 0.06, 'A', 'slack of the first turn that each further one takes'],
  knotDefining: [0.75, 'ropes', 0.6, 0.9, 'A', 'what a knot counts as when sections are compared for definition'],
  knotOutside: [0.6, 'ropes', 0.4, 0.8, 'A', 'how far the rope of a knot stands outside its curl'],
  coilOutside: [0.6, 'ropes', 0.4, 0.8, 'A', 'how far the rope of a coil stands outside its curl'],
  coilLengthened: [1.15, '×', 1, 1.3, 'F', 'a coil wound by hand hangs longer than it falls of itself'],
  coilTightest: [0.8, 'share', 0.7, 0.9, 'A', 'most that the thickness of its rope can draw a coil out'],
  coilLongest: [0.85, 'share', 0.75, 0.95, 'A', 'length of a coil, of the hair in it, at most'],
  bandDefining: [2.2, 'bands', 1.5, 3, 'F', 'what a band on a rod counts as when sections are compared'],
}); // prettier-ignore
