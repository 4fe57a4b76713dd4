import { DENSITY_PER_CM2, STRAND_UM } from '../coefficients/hair';
import { USUAL_HEAD, USUAL_ROOM } from '../formats/ranges';
import type { Head } from '../hair/head';
import { perZone, ZONES } from '../hair/zone';
import { zoneShares } from '../parting/zone-outlines';
import { clamp } from '../units/clamp';

/** What a choice may rest on: the head, the weather it is worn in, and how soon it must be ready. */
export interface FactContext {
  readonly head: Head;
  readonly dewPointOutsideC: number;
  /** From first touch to ready; null where no time is set. */
  readonly availableH: number | null;
}

/** A part of what was asked that a reason can name. */
export type FactField = keyof Head | 'dewPointOutsideC' | 'wearBy';

/** Something about a head that bears on what is done with it. */
export interface Fact {
  /** In two or three words, as a stylist says it. */
  readonly label: string;
  readonly field: FactField;
  /** How much it is so: 0 not at all, 1 plainly. A ramp, so that a hair's breadth of measuring turns no choice over. */
  readonly of: (context: FactContext) => number;
  /** The same without it: what reasons are checked against. */
  readonly without: (context: FactContext) => FactContext;
}

/** 0 up to `from`, 1 from `to` on, straight between; either may be the larger. */
const ramp = (value: number, from: number, to: number) => clamp((value - from) / (to - from), 0, 1);

const SHARES = zoneShares();
/** Mean stretched length over the scalp, cm. */
export const meanLengthCm = ({ stretchedLengthCm }: Head): number =>
  ZONES.reduce((sum, zone) => sum + SHARES[zone] * stretchedLengthCm[zone], 0);

/** A length that is neither short nor long, cm. */
const USUAL_LENGTH_CM = 22;

const headFact = (
  label: string,
  field: keyof Head,
  of: (head: Head) => number,
  usual: (head: Head) => Partial<Head>,
): Fact => ({
  label,
  field,
  of: ({ head }) => of(head),
  without: (context) => ({ ...context, head: { ...context.head, ...usual(context.head) } }),
});

const asUsual = <K extends keyof typeof USUAL_HEAD>(field: K) => ({ [field]: USUAL_HEAD[field] });

const condition = (label: string, ...ids: readonly string[]): Fact =>
  headFact(
    label,
    'conditions',
    ({ conditions }) => (conditions.some((id) => ids.includes(id)) ? 1 : 0),
    ({ conditions }) => ({ conditions: conditions.filter((id) => !ids.includes(id)) }),
  );

/** The same head, longer or shorter all over, so that its mean is neither. */
const ofUsualLength = (head: Head): Partial<Head> => {
  const factor = USUAL_LENGTH_CM / meanLengthCm(head);
  return { stretchedLengthCm: perZone((zone) => head.stretchedLengthCm[zone] * factor) };
};

/** Every fact. The ends of the ramps are common practice. */
export const facts = {
  fine: headFact('fine strands', 'strandDiameterUm', (h) => ramp(h.strandDiameterUm, 66, 54), () => ({ strandDiameterUm: STRAND_UM.medium })),
  coarse: headFact('coarse strands', 'strandDiameterUm', (h) => ramp(h.strandDiameterUm, 76, 88), () => ({ strandDiameterUm: STRAND_UM.medium })),
  'not-coarse': headFact('strands that are not coarse', 'strandDiameterUm', (h) => 1 - ramp(h.strandDiameterUm, 76, 88), () => ({ strandDiameterUm: STRAND_UM.coarse })),
  dense: headFact('dense hair', 'densityPerCm2', (h) => ramp(h.densityPerCm2, 172, 208), () => ({ densityPerCm2: DENSITY_PER_CM2.medium })),
  thin: headFact('thin density', 'densityPerCm2', (h) => ramp(h.densityPerCm2, 155, 125), () => ({ densityPerCm2: DENSITY_PER_CM2.medium })),
  'low-porosity': headFact('water beads on it', 'porosity', (h) => (h.porosity === 'low' ? 1 : 0), () => asUsual('porosity')),
  'high-porosity': headFact('it drinks at once', 'porosity', (h) => (h.porosity === 'high' ? 1 : 0), () => asUsual('porosity')),
  'not-high-porosity': headFact('it does not drink fast', 'porosity', (h) => (h.porosity === 'high' ? 0 : 1), () => ({ porosity: 'high' })),
  bleached: condition('bleached', 'bleached'),
  'heat-worn': condition('heat-worn', 'heat-damaged'),
  tight: headFact('small coils', 'naturalCoilDiameterMm', (h) => ramp(h.naturalCoilDiameterMm, 7.5, 4.5), () => asUsual('naturalCoilDiameterMm')),
  shrinks: headFact('draws up by two thirds', 'shrinkage', (h) => ramp(h.shrinkage, 0.6, 0.7), () => asUsual('shrinkage')),
  loose: headFact('loose coils', 'naturalCoilDiameterMm', (h) => ramp(h.naturalCoilDiameterMm, 13, 22), () => asUsual('naturalCoilDiameterMm')),
  'two-textures': condition('two textures', 'transitioning', 'heat-damaged'),
  short: headFact('short hair', 'stretchedLengthCm', (h) => ramp(meanLengthCm(h), 11, 7), ofUsualLength),
  'not-so-short': headFact('more than a few cm', 'stretchedLengthCm', (h) => ramp(meanLengthCm(h), 11, 18), (h) => ({ stretchedLengthCm: perZone((zone) => (h.stretchedLengthCm[zone] * 10) / meanLengthCm(h)) })),
  'shoulder-length': headFact('length that falls', 'stretchedLengthCm', (h) => ramp(meanLengthCm(h), 16, 30), (h) => ({ stretchedLengthCm: perZone((zone) => (h.stretchedLengthCm[zone] * 15) / meanLengthCm(h)) })),
  long: headFact('long hair', 'stretchedLengthCm', (h) => ramp(meanLengthCm(h), 34, 46), ofUsualLength),
  blunt: condition('a fresh blunt trim', 'blunt-trim'),
  'trim-due': condition('ends due a trim', 'due-a-trim'),
  'damp-air': {
    label: 'damp days',
    field: 'dewPointOutsideC',
    of: ({ dewPointOutsideC }) => ramp(dewPointOutsideC, 15, 20),
    without: (context) => ({ ...context, dewPointOutsideC: USUAL_ROOM.dewPointOutsideC }),
  },
  child: condition('a child', 'child'),
  sore: condition('a sore scalp', 'sore-scalp'),
  flaking: condition('a flaking scalp', 'flaking-scalp'),
  today: {
    label: 'ready today',
    field: 'wearBy',
    of: ({ availableH }) => (availableH === null ? 0 : ramp(availableH, 9, 6)),
    without: (context) => ({ ...context, availableH: null }),
  },
  always: { label: 'any head', field: 'conditions', of: () => 1, without: (context) => context },
} as const satisfies Readonly<Record<string, Fact>>; // prettier-ignore

export type FactId = keyof typeof facts;
/** Their ids. */
export const FACT_IDS = Object.keys(facts) as FactId[];

/** How much each fact holds of a head. */
export type FactLevels = Readonly<Record<FactId, number>>;

/** Every fact of a context. */
export const factLevels = (context: FactContext): FactLevels =>
  Object.fromEntries(FACT_IDS.map((id) => [id, facts[id].of(context)])) as Record<FactId, number>;
