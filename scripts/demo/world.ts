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
export type DemoHeadId = keyof typeof HEADS;

export const PRODUCTS = [
  {
    key: 'leave',
    name: 'Dewline leave-in',
    role: 'leave-in',
    waterShare: 0.88,
    hold: null,
    weight: 1,
    leftG: 410,
  },
  {
    key: 'cream',
    name: 'Oat & marrow cream',
    role: 'cream',
    waterShare: 0.7,
    hold: 1,
    weight: 3,
    leftG: 260,
  },
  { key: 'gel', name: 'Stillpond gel', role: 'gel', waterShare: 0.9, hold: 4, weight: 2, leftG: 380 },
  { key: 'foam', name: 'Reedbed foam', role: 'mousse', waterShare: 0.92, hold: 3, weight: 1, leftG: 145 },
  {
    key: 'butter',
    name: 'Fernseed butter',
    role: 'butter',
    waterShare: 0.08,
    hold: 1,
    weight: 5,
    leftG: 190,
  },
  { key: 'oil', name: 'Hollow oil', role: 'oil', waterShare: 0, hold: null, weight: 4, leftG: 90 },
  {
    key: 'lotion',
    name: 'Quill setting lotion',
    role: 'setting-lotion',
    waterShare: 0.92,
    hold: 3,
    weight: 1,
    leftG: 320,
  },
  { key: 'pomade', name: 'Bracken pomade', role: 'pomade', waterShare: 0.03, hold: 2, weight: 4, leftG: 75 },
  {
    key: 'heat',
    name: 'Emberguard mist',
    role: 'heat-protectant',
    waterShare: 0,
    hold: null,
    weight: 1,
    leftG: 60,
  },
] as const;
export type DemoProduct = (typeof PRODUCTS)[number]['key'];

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
