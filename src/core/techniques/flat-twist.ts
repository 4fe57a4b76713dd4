import { setShape } from '../coefficients/set-shape';
import { helixFromLay } from '../curl/helix';
import { ropeForm } from './rope-form';
import { radians } from '../units/angle';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

const { flatTwistAtStart: atStart, flatTwistLay, flatTwistRopeMm, flatTwistLoosens } = setShape.value;

/** Hair to the axis, °: a thick flat twist is turned less in its length (common practice: few are loose waves). */
const layOf = (ropeMm: number) => flatTwistLay * (flatTwistRopeMm / ropeMm) ** flatTwistLoosens;

export const flatTwist = defineTechnique({
  id: 'flat-twist',
  label: 'Flat twist',
  noun: ['flat twist', 'flat twists'],
  summary: 'A two-strand twist that picks hair up along the scalp. Flat, stretched roots and loose waves.',
  chairLine:
    'Work along the lane, adding a little hair to the outer rope at each turn, flat and even, not tight.',
  takedownLine: 'Undo the free end first, then lift the row out towards the hairline.',
  styleName: 'flat-twist out',
  curlName: 'wave',
  motif: 'rope',
  inSet: 'lane',
  sectionAspect: 1,
  usualPattern: 'lanes-back',
  usualSections: 8,
  tool: null,
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band'],
  coefficients: techniqueCoefficients({
    ropes: [2, 2, 2, 'P'],
    packing: [0.45, 0.35, 0.6, 'A'],
    retentionCap: [0.84, 0.7, 0.95, 'F'],
    installMin: [0.6, 0.3, 1, 'F'],
    installMinPerCm: [0.05, 0.02, 0.1, 'F'],
    installPower: [0.35, 0.2, 0.5, 'F'],
    takedownMin: [0.15, 0.05, 0.3, 'F'],
    takedownMinPerCm: [0.012, 0.005, 0.02, 'F'],
    medianDays: [3.5, 3, 5, 'C'],
    lnDaysSd: [0.28, 0.2, 0.4, 'F'],
    definition: [-0.1, -1, 1, 'A'],
    frizz: [0.1, -0.5, 0.6, 'A'],
    volume: [-0.3, -1, 0.3, 'A'],
    opening: [0.28, 0.1, 0.6, 'F'],
    shortestCm: [5, 3, 8, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.5, 0, 1, 'A'],
  }),
  dryingShape: {
    kind: 'rope',
    packing: 0.34,
    axialRatio: 0.85,
    perimeterFactor: 1,
    rootExposure: 0.78,
    openShare: 0.65,
    // A lane from nape to face is some 27 cm over the top and less at the sides (parting-map §1).
    laneCm: 20,
  },
  leaveInDays: 14,
  form: ({ ropeMm }) =>
    ropeForm(ropeMm, (share) =>
      helixFromLay((ropeMm / 2) * Math.sqrt(atStart + (1 - atStart) * share), radians(layOf(ropeMm))),
    ),
});
