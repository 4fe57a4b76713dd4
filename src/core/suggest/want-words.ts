import type { Axis } from './way';
import type { Want } from '../coefficients/wants';

/** What a wish says of a choice that it made. A colleague's words; the choices themselves come from the figures. */
export const WANT_WORDS: Readonly<Record<Want, Partial<Readonly<Record<Axis, string>>>>> = {
  lasts: {
    technique: 'It should last: this keeps its shape longest of what suits her.',
    start: 'It should last: set this way it holds more days.',
    layers: 'It should last: the hold is what keeps it through the week.',
    sections: 'It should last: smaller sections keep longer.',
    tool: 'It should last: a tighter curl has more to lose before it is gone.',
    drying: 'It should last: dry to the root, or it goes a day sooner.',
    nights: 'It should last: left whole on the first day, each split costs days.',
  },
  defined: {
    technique: 'It should be defined: this leaves the cleanest clumps.',
    start: 'It should be defined: wetter hair clumps better.',
    layers: 'It should be defined: more hold, cleaner clumps.',
    sections: 'It should be defined: smaller sections, cleaner clumps.',
    root: 'It should be defined from the root on.',
    ends: 'It should be defined to the tip.',
    tool: 'It should be defined: a smaller rod curls to the root.',
    drying: 'It should be defined: damp roots frizz as they are undone.',
    nights: 'It should be defined: the less it is split, the cleaner it stays.',
  },
  big: {
    technique: 'It should be big: this stands widest.',
    start: 'It should be big: stretched hair has lift at the root.',
    layers: 'It should be big: lighter layers lift.',
    sections: 'It should be big: larger sections at the crown carry it.',
    root: 'It should be big: plain roots lift, plaited ones lie flat.',
    nights: 'It should be big: split and fluffed at takedown.',
  },
  long: {
    technique: 'It should be long: this shows most of her length.',
    start: 'It should be long: stretched first, it draws up less.',
    root: 'It should be long: plaited roots stay down.',
    sections: 'It should be long: larger sections hang lower.',
    tool: 'It should be long: a larger rod opens further.',
    nights: 'It should be long: re-twists at night stretch it day by day.',
  },
  soft: {
    technique: 'It should be soft: this needs no hard cast.',
    start: 'It should be soft: dampness takes up what is put on it.',
    layers: 'It should be soft: nothing here sets hard, and something moist lies under the hold.',
  },
  'little-work': {
    technique: 'Little work: this is the quickest that does.',
    start: 'Little work: this start needs the least before.',
    sections: 'Little work: fewer sections.',
    root: 'Little work: plain roots go in and come out quickest.',
    ends: 'Little work: ends that need nothing more.',
    nights: 'Little work: a bonnet over it, nothing to re-do.',
  },
  gentle: {
    technique: 'Gentle: this pulls least.',
    start: 'Gentle: no blow-dryer.',
    root: 'Gentle: loose roots.',
    drying: 'Gentle: as little heat as will do.',
    nights: 'Gentle: handled as little as can be.',
  },
};
