import type { Knowable } from '@/core/hair/head';

/** What is measured, and how long it takes. */
export const MEASURING: Readonly<Record<Knowable, { readonly name: string; readonly how: string }>> = {
  stretchedLengthCm: { name: 'length', how: 'A tape, pulled straight: half a minute.' },
  shrinkage: { name: 'how it hangs', how: 'One strand as it hangs, against the same pulled straight.' },
  naturalCoilDiameterMm: { name: 'one coil', how: 'Held against a straw or a pencil: ten seconds.' },
  strandDiameterUm: { name: 'one strand', how: 'Between two fingers, against a sewing thread: ten seconds.' },
  densityPerCm2: { name: 'how dense it is', how: 'A tape round the ponytail, or how much scalp shows.' },
  porosity: { name: 'how it drinks', how: 'Three sprays of water: watch what they do.' },
  circumferenceCm: { name: 'round the head', how: 'A tape above the ears, in the whole form.' },
};
