import { rulesOf, type Rule } from './rule';

/** Strand, density, porosity, coil and length. */
export const TRAITS: readonly Rule[] = [
  ...rulesOf('fine', 'trait', {
    layers: {
      effects: { foam: 2, lotion: 2, light: 1, butter: -2, wax: -2, pomade: -1.5, oil: -1.5, cream: -1.5, heavy: -1.5 },
      text: 'Fine strands: a foam over a light leave-in; anything heavier goes limp by noon.',
    },
    sections: { effects: { more: 1 }, text: 'Fine strands hold better in smaller sections.' },
    technique: {
      effects: { 'rod-set': 0.5, 'flexible-rod-set': 0.5 },
      text: 'Fine strands take a rod well: every strand lies on it.',
    },
  }),
  ...rulesOf('coarse', 'trait', {
    layers: {
      effects: { 'cream-under-gel': 1.5, 'butter-under-gel': 1.25, gel: 1, cream: 0.5, 'foam-alone': -1.5, bare: -1 },
      text: 'Coarse strands: cream under gel; foam alone does not bend them.',
    },
  }),
  ...rulesOf('not-coarse', 'trait', {
    layers: {
      effects: { 'butter-under-gel': -1 },
      text: 'Butter under gel is for coarse strands; on these it lies greasy under a cast.',
    },
  }),
  ...rulesOf('dense', 'trait', {
    sections: {
      effects: { more: 1.5, few: -2 },
      text: 'Dense hair in more sections: a few large ones stay wet inside for a day.',
    },
    drying: { effects: { hood: 0.5 }, text: 'Dense hair dries from outside in: a hood reaches the roots.' },
  }),
  ...rulesOf('thin', 'trait', {
    layers: { effects: { foam: 1, heavy: -0.5 }, text: 'Thin density: foam lifts it, weight shows the scalp.' },
    sections: {
      effects: { fewer: 0.75, few: -1 },
      text: 'Thin density: a few sections less, but none so large that the scalp shows between them.',
    },
  }),
  ...rulesOf('low-porosity', 'trait', {
    layers: {
      effects: { light: 1, 'leave-in': 0.5, 'cream-then-oil': 0.25, butter: -1.5, heavy: -1.25, 'heavy-on-dry': -1, wax: -1 },
      text: 'Water beads on it: light layers sink in, butter sits on top, white and slow to dry.',
    },
    start: {
      effects: { damp: 1, 'nearly-dry': 0.5, dripping: -1, wet: -0.75 },
      text: 'Water beads on it: begun wet it drips and dries late; damp it takes product.',
    },
  }),
  ...rulesOf('high-porosity', 'trait', {
    prep: {
      effects: { 'deep-condition': 2 },
      text: 'It drinks at once: a deep conditioner each time, or it takes the products and feels dry by evening.',
    },
    layers: {
      effects: { oil: 1, cream: 1, butter: 0.75, 'oil-then-cream': 0.5, shield: 0.5, bare: -1.5, 'foam-alone': -1 },
      text: 'It drinks at once: cream and oil keep the water in; foam alone leaves it dry.',
    },
    start: {
      effects: { wet: 1, damp: 0.5, 'stretched-dry': -0.75, stretched: -0.5 },
      text: 'It drinks at once and dries while it waits: begin wet and keep it misted.',
    },
    drying: { effects: { hot: -2 }, text: 'It drinks at once and gives it back as fast: cool air, never hot.' },
  }),
  ...rulesOf('not-high-porosity', 'trait', {
    layers: {
      effects: { 'four-layers': -0.75 },
      text: 'Four layers are more than this hair takes in: the last one lies on top.',
    },
    start: { effects: { wet: -0.75 }, text: 'This hair keeps its water: begun wet it only dries later.' },
  }),
  ...rulesOf('tight', 'trait', {
    layers: {
      effects: { 'cream-under-gel': 1, cream: 0.5, 'foam-alone': -0.75 },
      text: 'Small coils: cream under gel keeps them soft and together.',
    },
    start: { effects: { stretched: 0.75 }, text: 'Small coils: a stretched start shows the length.' },
    root: {
      effects: { 'flat-roots': 0.75, 'wet-plain-roots': -0.5 },
      text: 'Small coils draw up from the root: a plaited root holds its length.',
    },
  }),
  ...rulesOf('shrinks', 'trait', {
    root: { effects: { 'flat-roots': 0.5 }, text: 'It draws up by two thirds: a plaited root keeps some of it down.' },
  }),
  ...rulesOf('loose', 'trait', {
    layers: {
      effects: { 'coils-in-gel': 1.5, 'rods-in-foam': 1.5, 'ropes-held': 0.75, butter: -1.5, heavy: -1.5, pomade: -0.75 },
      text: 'Loose coils fall: gel in coils, foam on rods, and nothing heavy.',
    },
    technique: {
      effects: {
        'three-strand-twist': 2.25, 'rod-set': 1, 'flexible-rod-set': 1.25, 'two-strand-twist': -0.75,
        'double-two-strand-twist': -0.25, 'bantu-knot': -0.25, 'finger-coil': -1,
      },
      text: 'Loose coils: three strands or rods give an even curl; two strands go stringy.',
    },
    sections: { effects: { more: 0.75 }, text: 'Loose coils hold longer in smaller sections.' },
    tool: { effects: { 'modest-tool': 1 }, text: 'Loose coils drop by the second day: a rod smaller than the curl you want.' },
    start: { effects: { stretched: -1 }, text: 'Loose coils need no stretching: it only takes out the curl.' },
  }),
  ...rulesOf('short', 'trait', {
    technique: {
      effects: {
        'comb-coil': 1.5, shingling: 1, 'finger-coil': 0.75, 'rod-set': 0.5, 'flexible-rod-set': 0.5, braid: -2,
        'braid-with-rods': -2, 'bantu-knot': -2, 'flat-twist': -1, 'two-strand-twist': -0.5,
      },
      text: 'A few centimetres: coils stay where braids and knots slip out.',
    },
    layers: { effects: { gel: 1 }, text: 'A few centimetres: gel holds what is too short to hold itself.' },
    drying: { effects: { 'hood-by-day': 0.5 }, text: 'A few centimetres: half an hour under the hood and it is done.' },
  }),
  ...rulesOf('not-so-short', 'trait', {
    technique: { effects: { shingling: -1.5 }, text: 'Shingling is for the longer top of a short cut; longer than that it tangles.' },
  }),
  ...rulesOf('shoulder-length', 'trait', {
    technique: { effects: { 'finger-coil': -1.25 }, text: 'Coils on longer hair are very many, and they hang together.' },
  }),
  ...rulesOf('long', 'trait', {
    tool: {
      effects: { 'large-tool': 0.75, 'small-tool': -1 },
      text: 'Long hair overflows a small rod: take a larger one.',
    },
    layers: { effects: { butter: -0.75, heavy: -0.75 }, text: 'Long hair has weight enough of its own: nothing heavy on it.' },
    technique: {
      effects: { shingling: -2, 'finger-coil': -0.75 },
      text: 'Long hair: ropes and rods; coils would be very many.',
    },
  }),
]; // prettier-ignore
