import { TECHNIQUE_IDS } from '../../techniques';
import { rulesOf, type Rule } from './rule';

/** What hair has been through, who wears it, the weather and the hour. */
export const CONDITION_RULES: readonly Rule[] = [
  ...rulesOf('bleached', 'condition', {
    prep: { effects: { 'deep-condition': 2 }, text: 'Bleached hair: a deep conditioner every time.' },
    layers: {
      effects: { oil: 1, cream: 1, butter: 0.75, 'oil-then-cream': 0.5, shield: 0.5, bare: -1.5, 'foam-alone': -1 },
      text: 'Bleached hair is thirsty: cream and a sealing layer, never foam on bare strands.',
    },
    start: {
      effects: { wet: 1, damp: 0.5, stretched: -1.25 },
      text: 'Bleached hair: begin wet and leave the blow-dryer off.',
    },
    drying: { effects: {}, out: ['hot'], text: 'Bleached hair: cool air only.' },
  }),
  ...rulesOf('heat-worn', 'condition', {
    start: { effects: { stretched: -1.5 }, text: 'Heat-worn hair has had its share: no blow-out.' },
    drying: { effects: {}, out: ['hot'], text: 'Heat-worn hair: cool air only.' },
  }),
  ...rulesOf('two-textures', 'condition', {
    ends: {
      effects: { 'rod-ends': 2, pasted: 1 },
      text: 'Two textures: the straight ends will not coil alone; a small rod gives them the bend.',
    },
    technique: {
      effects: {
        'braid-with-rods': 1.25, 'flat-twist': 1, 'bantu-knot': 1, 'rod-set': 1, 'flexible-rod-set': 0.5, shingling: -2.5,
        'finger-coil': -2, 'comb-coil': -2, 'two-strand-twist': -1.5,
      },
      text: 'Two textures: braids with rods, knots or rods hide where they meet; coils show it.',
    },
    layers: { effects: { gel: 1 }, text: 'Two textures: gel, so that both keep the same shape.' },
    root: { effects: { 'flat-roots': 0.5 }, text: 'Two textures: a plaited root lies like the straight rest.' },
    sections: { effects: { more: 0.5 }, text: 'Two textures: smaller sections at the line where they meet.' },
  }),
  ...rulesOf('blunt', 'condition', {
    ends: {
      effects: { 'rod-ends': 1.25, pasted: 1, banded: 0.75, 'coiled-ends': -1.25 },
      text: 'A fresh blunt trim: coiled tips spring open; rods or pasting keep them.',
    },
  }),
  ...rulesOf('trim-due', 'condition', {
    ends: {
      effects: { 'rod-ends': 1.25, pasted: 0.75, 'coiled-ends': -0.25 },
      text: 'Ends due a trim fray: a small rod, or pasted flat, hides it.',
    },
  }),
  ...rulesOf('damp-air', 'condition', {
    layers: { effects: { gel: 1, shield: 1, bare: -1 }, text: 'Damp days: gel and a humidity shield keep it from swelling.' },
    technique: { effects: { 'finger-coil': 1, 'comb-coil': 1 }, text: 'Damp days: coils have the least to lose.' },
    start: { effects: { stretched: -2 }, text: 'Damp days undo a blow-out by noon.' },
  }),
  ...rulesOf('child', 'safety', {
    drying: {
      effects: { 'knots-asleep': -2.5, 'rods-asleep': -1 },
      out: ['hot'],
      text: 'A child: no hot hood, and nothing hard to sleep on.',
    },
    sections: { effects: { fewer: 2 }, text: 'A child: few sections and short sittings.' },
    root: { effects: { 'flat-roots': -2.5 }, text: 'A child: loose roots at the hairline, nothing that pulls.' },
    layers: { effects: { foam: 1, cream: 0.75, gel: -0.75, wax: -0.75 }, text: 'A child: soft hold, nothing that crusts.' },
    technique: { effects: { 'finger-coil': -1 }, text: 'A child: nothing that takes all afternoon.' },
    start: { effects: { stretched: -1 }, text: 'A child: no blow-dryer.' },
  }),
  ...rulesOf('sore', 'safety', {
    technique: {
      effects: {},
      out: [...TECHNIQUE_IDS],
      text: 'A sore, broken or flaring scalp is not set today. Leave it loose, and see a dermatologist.',
    },
  }),
  ...rulesOf('flaking', 'safety', {
    layers: { effects: { wax: -1, pomade: -0.75, butter: -0.5 }, text: 'A flaking scalp: nothing that lies thick on the skin.' },
    root: { effects: { 'flat-roots': -1 }, text: 'A flaking scalp: plain roots, nothing that pulls on it.' },
  }),
  ...rulesOf('today', 'condition', {
    start: { effects: { stretched: 0.75, wet: -1 }, text: 'Ready today: stretched first, it dries within the hour.' },
    drying: { effects: { hood: 0.5 }, text: 'Ready today: the hood brings the roots home in time.' },
    layers: {
      effects: { pomade: 0.5, foam: 0.5, 'cream-under-gel': -0.75 },
      text: 'Ready today: foam or pomade brings little water; cream under gel a lot.',
    },
  }),
  ...rulesOf('always', 'trait', {
    ends: {
      effects: { 'coiled-ends': 0.5, 'twisted-tips': -0.75, 'rod-ends': -0.5 },
      text: 'Tips coiled on a finger hold by themselves; only twisted they come undone first.',
    },
  }),
  ...rulesOf('always', 'safety', {
    layers: {
      effects: { 'wound-without-hold': -2.5, 'coils-without-hold': -1.5 },
      text: 'Rods and coils without hold fall open the day they are taken down.',
    },
    drying: {
      effects: { 'rigid-asleep': -2, 'knots-asleep': -0.75, 'small-rigid-asleep': -0.5 },
      text: 'Rigid rods and knots press when slept on.',
    },
  }),
]; // prettier-ignore
