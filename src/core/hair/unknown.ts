import { perZone, ZONES } from './zone';
import type { Head, Knowable } from './head';

/** Lengths that are short and long for a head of which nothing is known, over what is usual. */
const LENGTH_SCALES = [0.6, 1.6] as const;

/** What a field is on heads far from the usual: about one in seven lies below, one in seven above (common practice). */
const EXTREMES: { readonly [K in Knowable]: (head: Head) => readonly [Partial<Head>, Partial<Head>] } = {
  strandDiameterUm: () => [{ strandDiameterUm: 56 }, { strandDiameterUm: 86 }],
  densityPerCm2: () => [{ densityPerCm2: 130 }, { densityPerCm2: 208 }],
  porosity: () => [{ porosity: 'low' }, { porosity: 'high' }],
  naturalCoilDiameterMm: () => [{ naturalCoilDiameterMm: 4.5 }, { naturalCoilDiameterMm: 14 }],
  shrinkage: () => [{ shrinkage: 0.35 }, { shrinkage: 0.7 }],
  circumferenceCm: () => [{ circumferenceCm: 54 }, { circumferenceCm: 58 }],
  stretchedLengthCm: (head) => {
    const scaled = (scale: number) => ({
      stretchedLengthCm: perZone((zone) => head.stretchedLengthCm[zone] * scale),
    });
    return [scaled(LENGTH_SCALES[0]), scaled(LENGTH_SCALES[1])];
  },
};

/** Standard deviations from the middle that one in seven lies beyond. */
export const EXTREME_Z = 1.07;

/** A head whose field is at either end of what is common: what not knowing it may mean. */
export const extremesOf = (field: Knowable, head: Head): readonly [Head, Head] => {
  const [low, high] = EXTREMES[field](head);
  return [
    { ...head, ...low },
    { ...head, ...high },
  ];
};

/** Own coil of one zone, mm: where it differs from the rest it was measured for itself. */
export const coilMm = ({ naturalCoilDiameterMm, zoneCoilMm }: Head, zone: (typeof ZONES)[number]): number =>
  zoneCoilMm[zone] ?? naturalCoilDiameterMm;
