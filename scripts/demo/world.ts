import type { HeadInput } from '@/core/formats/brief';
import type { HeadCard } from '@/server/db/rows/heads';

/** The made-up studio of the demo: everything in it is invented. */
export const STUDIO = { name: 'Fernhollow Studio', timeZone: 'Europe/Lisbon' } as const;

const zones = (front: number, crown: number, side: number, back: number, nape: number) => ({
  front,
  crown,
  left: side,
  right: side,
  back,
  nape,
});

export interface DemoHead {
  readonly card: HeadCard;
  readonly measured: HeadInput;
}

export const HEADS = {
  amara: {
    card: {
      name: 'Amara',
      description: 'dense medium coils, shoulder length',
      notes: 'Wears it loose for work. Likes it big by day two.',
      allergies: '',
      skinTone: 'mahogany',
      hairTone: 'black',
      likes: ['big'],
    },
    measured: {
      circumferenceCm: 56,
      densityPerCm2: 190,
      strandDiameterUm: 70,
      naturalCoilDiameterMm: 7,
      shrinkage: 0.6,
      porosity: 'medium',
      conditions: [],
      stretchedLengthCm: zones(21, 25, 23, 26, 19),
    },
  },
  ife: {
    card: {
      name: 'Ife',
      description: 'tight fine coils, chin length',
      notes: 'Fine strands, goes limp under butter.',
      allergies: 'coconut: patch-test anything new',
      skinTone: 'espresso',
      hairTone: 'black',
      likes: ['lasts', 'soft'],
    },
    measured: {
      circumferenceCm: 54,
      densityPerCm2: 150,
      strandDiameterUm: 55,
      naturalCoilDiameterMm: 4,
      shrinkage: 0.72,
      porosity: 'medium',
      conditions: ['due-a-trim'],
      stretchedLengthCm: zones(15, 17, 15, 17, 12),
    },
  },
  maren: {
    card: {
      name: 'Maren',
      description: 'short tapered cut, coarse',
      notes: 'Long top, clipped sides. Rods on top only reach once round at the nape.',
      allergies: '',
      skinTone: 'chestnut',
      hairTone: 'dark-brown',
      likes: ['defined'],
    },
    measured: {
      circumferenceCm: 57,
      densityPerCm2: 170,
      strandDiameterUm: 90,
      naturalCoilDiameterMm: 6,
      shrinkage: 0.6,
      porosity: 'medium',
      conditions: ['tapered-cut', 'blunt-trim'],
      stretchedLengthCm: zones(14, 15, 6, 7, 4),
    },
  },
  solveig: {
    card: {
      name: 'Solveig',
      description: 'long loose coils, bleached lengths',
      notes: 'Bleached in spring; the last ten centimetres are weak.',
      allergies: '',
      skinTone: 'amber',
      hairTone: 'blonde',
      likes: ['soft', 'gentle'],
    },
    measured: {
      circumferenceCm: 55,
      densityPerCm2: 165,
      strandDiameterUm: 70,
      naturalCoilDiameterMm: 15,
      shrinkage: 0.36,
      porosity: 'high',
      conditions: ['bleached', 'due-a-trim'],
      stretchedLengthCm: zones(36, 42, 40, 43, 36),
    },
  },
  dayo: {
    card: {
      name: 'Dayo',
      description: 'a child of eight, with his mother',
      notes: 'Short sittings. Tender at the temples.',
      allergies: 'fragrance',
      skinTone: 'mahogany',
      hairTone: 'black',
      likes: ['gentle', 'little-work'],
    },
    measured: {
      circumferenceCm: 52,
      densityPerCm2: 165,
      strandDiameterUm: 70,
      naturalCoilDiameterMm: 5,
      shrinkage: 0.66,
      porosity: 'medium',
      conditions: ['child'],
      stretchedLengthCm: zones(11, 13, 12, 13, 10),
    },
  },
  keziah: {
    card: {
      name: 'Keziah',
      description: 'low-porosity coils, swims twice a week',
      notes: 'Product sits on top unless it goes on warm and wet.',
      allergies: '',
      skinTone: 'chestnut',
      hairTone: 'auburn',
      likes: ['lasts'],
    },
    measured: {
      circumferenceCm: 56,
      densityPerCm2: 180,
      strandDiameterUm: 70,
      naturalCoilDiameterMm: 9,
      shrinkage: 0.55,
      porosity: 'low',
      conditions: ['coloured'],
      stretchedLengthCm: zones(26, 30, 28, 31, 24),
    },
  },
} as const satisfies Record<string, DemoHead>;

/** Heads that came to the studio before anything of it was told by hand. */
export const LATER_HEADS = {
  bisi: {
    card: {
      name: 'Bisi',
      description: 'dense coarse coils, to the shoulder blades',
      notes: 'Thick at the crown: dries last there.',
      allergies: '',
      skinTone: 'espresso',
      hairTone: 'black',
      likes: ['lasts', 'long'],
    },
    measured: {
      circumferenceCm: 58,
      densityPerCm2: 220,
      strandDiameterUm: 90,
      naturalCoilDiameterMm: 6,
      shrinkage: 0.62,
      porosity: 'medium',
      conditions: [],
      stretchedLengthCm: zones(30, 36, 33, 37, 29),
    },
  },
  ottilie: {
    card: {
      name: 'Ottilie',
      description: 'transitioning: coils at the root, straight ends',
      notes: 'Growing out a straightener; ends will not hold without a rod.',
      allergies: '',
      skinTone: 'amber',
      hairTone: 'dark-brown',
      likes: ['defined'],
    },
    measured: {
      circumferenceCm: 55,
      densityPerCm2: 160,
      strandDiameterUm: 65,
      naturalCoilDiameterMm: 8,
      shrinkage: 0.5,
      porosity: 'high',
      conditions: ['transitioning', 'heat-damaged'],
      stretchedLengthCm: zones(24, 28, 26, 29, 23),
    },
  },
} as const satisfies Record<string, DemoHead>;
export type DemoHeadId = keyof typeof HEADS | keyof typeof LATER_HEADS;

/** A head by its name in the demo. */
export const demoHead = (id: DemoHeadId): DemoHead => ({ ...HEADS, ...LATER_HEADS })[id];

/** Products of the shelf; days count back from the start, price in minor units. */
export const PRODUCTS = [
  {
    key: 'leave',
    name: 'Dewline leave-in',
    role: 'leave-in',
    waterShare: 0.88,
    hold: null,
    weight: 1,
    leftG: 410,
    sizeG: 500,
    priceMinor: 1450,
    emptyG: 62,
    openedDaysAgo: 41,
    goodForDays: null,
    ingredients: 'aqua, behentrimonium methosulfate, cetyl alcohol, panthenol, fragrance',
  },
  {
    key: 'cream',
    name: 'Oat & marrow cream',
    role: 'cream',
    waterShare: 0.7,
    hold: 1,
    weight: 3,
    leftG: 260,
    sizeG: 400,
    priceMinor: 1680,
    emptyG: 74,
    openedDaysAgo: 60,
    goodForDays: null,
    ingredients: 'aqua, oat kernel oil, cetearyl alcohol, glycerin, shea butter',
  },
  {
    key: 'gel',
    name: 'Stillpond gel',
    role: 'gel',
    waterShare: 0.9,
    hold: 4,
    weight: 2,
    leftG: 24,
    sizeG: 350,
    priceMinor: 1120,
    emptyG: 48,
    openedDaysAgo: 96,
    goodForDays: null,
    ingredients: 'aqua, PVP, glycerin, flaxseed extract',
  },
  {
    key: 'foam',
    name: 'Reedbed foam',
    role: 'mousse',
    waterShare: 0.92,
    hold: 3,
    weight: 1,
    leftG: 145,
    sizeG: 200,
    priceMinor: 1290,
    emptyG: 55,
    openedDaysAgo: 30,
    goodForDays: null,
    ingredients: 'aqua, PVP/VA copolymer, polyquaternium-11, panthenol',
  },
  {
    key: 'butter',
    name: 'Fernseed butter',
    role: 'butter',
    waterShare: 0.08,
    hold: 1,
    weight: 5,
    leftG: 190,
    sizeG: 250,
    priceMinor: 1500,
    emptyG: 90,
    openedDaysAgo: 150,
    goodForDays: 95,
    ingredients: 'shea butter, mango seed butter, coconut oil',
  },
  {
    key: 'oil',
    name: 'Hollow oil',
    role: 'oil',
    waterShare: 0,
    hold: null,
    weight: 4,
    leftG: 90,
    sizeG: 120,
    priceMinor: 980,
    emptyG: 110,
    openedDaysAgo: 120,
    goodForDays: null,
    ingredients: 'jojoba seed oil, grape seed oil',
  },
  {
    key: 'lotion',
    name: 'Quill setting lotion',
    role: 'setting-lotion',
    waterShare: 0.92,
    hold: 3,
    weight: 1,
    leftG: 320,
    sizeG: 450,
    priceMinor: 1150,
    emptyG: 58,
    openedDaysAgo: 75,
    goodForDays: null,
    ingredients: 'aqua, VP/VA copolymer, hydrolysed wheat protein',
  },
  {
    key: 'pomade',
    name: 'Bracken pomade',
    role: 'pomade',
    waterShare: 0.03,
    hold: 2,
    weight: 4,
    leftG: 75,
    sizeG: 100,
    priceMinor: 1350,
    emptyG: 60,
    openedDaysAgo: 210,
    goodForDays: null,
    ingredients: 'beeswax, castor oil, lanolin',
  },
  {
    key: 'heat',
    name: 'Emberguard mist',
    role: 'heat-protectant',
    waterShare: 0,
    hold: null,
    weight: 1,
    leftG: 60,
    sizeG: 150,
    priceMinor: 1600,
    emptyG: 45,
    openedDaysAgo: 80,
    goodForDays: null,
    ingredients: 'cyclopentasiloxane, dimethiconol',
  },
] as const;
export type DemoProduct = (typeof PRODUCTS)[number]['key'];

/** A mix of the studio's own: a softer cast. */
export const MIX = {
  name: 'Half-and-half cream gel',
  role: 'gel',
  parts: { cream: 1, gel: 1 },
  batchG: 40,
  keepsDays: 21,
  notes: 'Stir the cream into the gel, never the other way round.',
} as const;

/** What the studio dries with: a strong hood, an older one, a fan and a diffuser. */
export const DRYERS = [
  { kind: 'hood', name: 'Tall hood', airSpeedMS: 2.2, airC: 56, count: 1 },
  { kind: 'hood', name: 'Soft bonnet hood', airSpeedMS: 1.1, airC: 50, count: 1 },
  { kind: 'fan', name: 'Window fan', airSpeedMS: 1, airC: null, count: 1 },
  { kind: 'diffuser', name: 'Bowl diffuser', airSpeedMS: 2.2, airC: 55, count: 2 },
] as const;

export const TOOLS = [
  { kind: 'rod', diameterMm: 10, workingLengthMm: 70, owned: 24, swatch: '#c95f3c' },
  { kind: 'rod', diameterMm: 13, workingLengthMm: 75, owned: 36, swatch: '#e0b83f' },
  { kind: 'rod', diameterMm: 16, workingLengthMm: 80, owned: 36, swatch: '#5a8f5f' },
  { kind: 'rod', diameterMm: 20, workingLengthMm: 85, owned: 30, swatch: '#4a63a8' },
  { kind: 'rod', diameterMm: 25, workingLengthMm: 90, owned: 18, swatch: '#8a5a9c' },
  { kind: 'flexible-rod', diameterMm: 12, workingLengthMm: 180, owned: 30, swatch: '#d9a441' },
  { kind: 'flexible-rod', diameterMm: 18, workingLengthMm: 240, owned: 24, swatch: '#3f7f86' },
  { kind: 'former', diameterMm: 16, workingLengthMm: 320, owned: 40, swatch: '#b5651d' },
] as const;
