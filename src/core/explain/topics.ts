import type { ParameterTableId } from './parameter-tables';

/** How one number of a plan comes about, in plain words. */
export interface Topic {
  readonly title: string;
  /** What is done, in a few sentences. */
  readonly how: readonly string[];
  /** The law at its heart, as it would be written on a page. */
  readonly law: string;
  readonly checkedAgainst: readonly string[];
  readonly weak: readonly string[];
  /** Tables its figures come from, and the names of those that matter most. */
  readonly parameters: readonly { readonly table: ParameterTableId; readonly keys: readonly string[] }[];
  /** Page of docs/model that goes further. */
  readonly page: 'set-geometry' | 'drying' | 'parting-map';
}

/** Every number that can be asked about. Add one by adding a row. */
export const TOPICS = {
  dry: {
    title: 'When it is dry',
    how: [
      'Each zone of the head is followed as its thickest section and the others, at root, middle and ends. Water leaves through still or moving air, the more slowly the drier, thicker and more crowded the hair is; the scalp warms the roots and breathes into them, which is why roots dry last.',
      'Sections set first dry while the others go in, and hair that waits its turn loses water too.',
      'How wet, how dense and how evenly parted the head is, the air of the room and the head’s own rate are only roughly known. So 256 heads are drawn, each a little different, and the range is what nine in ten and one in ten of them do.',
      'Each drying step lasts as long as you say; time that is left goes on in open air, at night under the cover, and a hood at the end is kept for just before the takedown.',
    ],
    law: 'dX/dt = −μ · G · (a(X)·ρs(T) − ρair) / m',
    checkedAgainst: [
      'the same equations in an independent solver, within 1 %',
      'published psychrometrics over a grid of rooms, and textbook heat transfer at cylinders',
      'what practice says of forty sets, from short coils under a hood and twists in a bonnet overnight to wet knots in air',
    ],
    weak: [
      'How freely air moves through a set is fitted to common practice, not measured: expect a new head to be off by a quarter until it was felt a few times.',
      'What products leave behind hardly slows it here: four times the film adds 3 to 6 %. A heavy dose is slow by its water.',
      'No water runs from root to ends; wind and sun count only as moving air.',
      'Hair as good as dry when it is set: minutes matter there, and feeling is better than any sum.',
    ],
    parameters: [
      {
        table: 'drying',
        keys: ['scalpContactWM2K', 'scalpToAirWM2K', 'towelShare', 'bundleDiffusivity', 'unevenParting'],
      },
      {
        table: 'draw-spread',
        keys: ['pickUp', 'hairDensity', 'airMovement', 'productWater', 'roomHumidity'],
      },
      { table: 'hair', keys: ['dryAirHumidity', 'keptOfWetting', 'glassRegain'] },
    ],
    page: 'drying',
  },
  mist: {
    title: 'When waiting hair wants misting',
    how: [
      'Clipped-away hair is dried in the same model, without product, in open air. A quarter of the head wants misting when it has lost nearly all the water that is not bound in the fibre; its ends get there first.',
    ],
    law: 'X waiting ≤ X saturated + 0.12',
    checkedAgainst: ['no figure of practice is known; only the order of rooms and start states'],
    weak: ['The floor is an assumption. Touch decides: ends that spring up dry want water.'],
    parameters: [{ table: 'drying', keys: ['waitingFloor', 'capillaryMargin'] }],
    page: 'drying',
  },
  handsOn: {
    title: 'Hands-on time',
    how: [
      'Every section takes a time to part, to work product through and to set: a part that does not change, one that goes with length, and one that goes with how much hair is in it. Roots, ends and brushing add theirs.',
      'The range is what one pair of hands differs from another; a known pace narrows it.',
    ],
    law: 'minutes = 2 + pace · Σ [part + product·√n + (a + b·length)·n^γ + root + ends]',
    checkedAgainst: ['fourteen figures of common practice, from 4 large twists to 500 small coils'],
    weak: ['Rods are fitted to three readings of one phrase; flexible rods have no figure of their own.'],
    parameters: [{ table: 'hands-on', keys: ['settleMin', 'partMin', 'productMin', 'brushMin', 'prepMin'] }],
    page: 'set-geometry',
  },
  days: {
    title: 'Days presentable',
    how: [
      'Each technique has a usual life, from the first takedown to the day it is given up. Hold, damp at takedown, section size, separating, fluffing, nights and damp air outdoors lengthen or shorten it, each by a factor that is shown.',
    ],
    law: 'ln days = ln(usual) + Σ effects, spread log-normal',
    checkedAgainst: [
      'common practice for seven styles; a rod set about a week, a twist out three to four days',
    ],
    weak: ['The sizes of the effects are judgement until this head’s own diary has spoken.'],
    parameters: [
      {
        table: 'result',
        keys: ['holdLnDays', 'dampLnDays', 'separatingLnDays', 'fluffingLnDays', 'dewLnDays'],
      },
    ],
    page: 'set-geometry',
  },
  curl: {
    title: 'Curl size',
    how: [
      'The hair is a springy rod. The set gives it one curve, its own coil another; how dry it was, the hold and the thickness of the section decide how much of the set stays. The blend then hangs under its own weight, softened or stiffened by film and clumping.',
      'What is shown is the outside of the curl, the mean over root, middle and ends.',
    ],
    law: 'curl = s · set + (1 − s) · own, then hung: min of bending + twisting − weight',
    checkedAgainst: [
      'identities of helices and of elastic rods, to the last digits',
      'a bare coil hangs exactly as it was measured, over 630 heads',
      'practice: four twists curl larger than eight, ringlets are about as wide as their rod',
    ],
    weak: [
      'How set and own curl blend is a law of our own; hairs are treated one by one, clumping only as stiffness.',
      'Rods depend much on one fitted figure, the opening kept from taking them out.',
    ],
    parameters: [
      { table: 'hair', keys: ['modulusMPa', 'poissonRatio', 'fibreDensity'] },
      {
        table: 'result',
        keys: ['holdRetentionBase', 'sizeRetention', 'dryRetentionPower', 'filmStiffness', 'curlRange'],
      },
    ],
    page: 'set-geometry',
  },
  shows: {
    title: 'Visible length',
    how: [
      'The length along the axis of that same hung curl: how much of the stretched length shows. A plaited or banded root stays flat; each night opens or closes the curl a little.',
    ],
    law: 'visible = length · mean cos(angle to the axis)',
    checkedAgainst: [
      'bare hair shows 1 − shrinkage of its length, exactly',
      'wide bands of practice for each technique',
    ],
    weak: ['Ten points of stretch either way are honest until this head was measured after a set.'],
    parameters: [{ table: 'result', keys: ['stretchRange', 'opennessPerNightCap', 'filmWeight'] }],
    page: 'set-geometry',
  },
  definition: {
    title: 'Definition',
    how: [
      'A middling set counts 5½ of 10. Technique, section size against the coil, hold, damp, detangling, separating, ends and start state add or take points, each shown with its sign.',
    ],
    law: 'definition = 5½ + Σ signed effects, held to 0 … 10',
    checkedAgainst: [
      'the order of common practice only: smaller sections define more, damp takedown least of all',
    ],
    weak: ['All weights are judgement. Rate your sets, and compare what was forecast.'],
    parameters: [
      {
        table: 'result',
        keys: [
          'baseDefinition',
          'sizeDefinition',
          'holdDefinition',
          'dampDefinition',
          'separatingDefinition',
          'indexRange',
        ],
      },
    ],
    page: 'set-geometry',
  },
  frizz: {
    title: 'Frizz',
    how: ['As definition, from 3 of 10; high is bad. Damp air outdoors and very dry air both raise it.'],
    law: 'frizz = 3 + Σ signed effects, held to 0 … 10',
    checkedAgainst: ['the order of common practice only'],
    weak: ['All weights are judgement.'],
    parameters: [
      { table: 'result', keys: ['baseFrizz', 'dampFrizz', 'holdFrizz', 'dewFrizz', 'separatingFrizz'] },
    ],
    page: 'set-geometry',
  },
  volume: {
    title: 'Volume',
    how: [
      'An amount, not praise: how much hair there is, how it is separated and fluffed, and the start state.',
    ],
    law: 'volume = 5 + Σ signed effects, held to 0 … 10',
    checkedAgainst: ['the order of common practice only'],
    weak: ['All weights are judgement.'],
    parameters: [
      { table: 'result', keys: ['baseVolume', 'hairCountVolume', 'separatingVolume', 'fluffingVolume'] },
    ],
    page: 'set-geometry',
  },
  product: {
    title: 'How much product',
    how: [
      'Grams per gram of dry hair, more for fine strands, for they have more surface, and for porous hair; less on stretched hair, or it goes back. Ends get a second pass.',
      'Pumps, dimes and teaspoons are common practice until you weigh your own.',
    ],
    law: 'grams = rate · dry hair · (70/strand)^0.7 · porosity · start · 1.1',
    checkedAgainst: [
      'gel about a dime a rod section, foam about half a pump, leave-in from two pumps on short hair',
    ],
    weak: ['± 30 % until a hand weighs what it takes.'],
    parameters: [
      { table: 'hands-on', keys: ['dosePasses'] },
      { table: 'hair', keys: ['scalpAreaAt56Cm', 'ponytailPacking'] },
    ],
    page: 'set-geometry',
  },
} as const satisfies Record<string, Topic>;

export type TopicId = keyof typeof TOPICS;
/** Their ids, in the order of the panel. */
export const TOPIC_IDS = Object.keys(TOPICS) as TopicId[];
/** The topic of an id, in the common shape. */
export const topicOf = (id: TopicId): Topic => TOPICS[id];
