import type { SectionWork } from '@/core/hands-on/install-time';
import { fingerCoil } from '@/core/techniques/finger-coil';
import { twoStrandTwist } from '@/core/techniques/two-strand-twist';

/** The work of one two-strand twist: 5,000 hairs of 25 cm, damp, plain root, coiled ends. */
export const twist = (change: Partial<SectionWork> = {}): SectionWork => ({
  technique: twoStrandTwist,
  hairCount: 5000,
  lengthCm: 25,
  rootMethod: 'plain',
  endsMethod: 'finger-coiled',
  startState: 'damp',
  brushedThrough: false,
  fastened: 'root',
  ...change,
});

/** The same as a finger coil. */
export const finger = (change: Partial<SectionWork> = {}): SectionWork =>
  twist({ technique: fingerCoil, ...change });
