import { EVEN_SIZES, type PartingSpec } from '@/core/parting/generate';

/** A parting of a usual head in even brick rows, with what a test changes. */
export const aPartingSpec = (count: number, change: Partial<PartingSpec> = {}): PartingSpec => ({
  circumferenceCm: 56,
  count,
  pattern: 'brick',
  part: 'none',
  trial: false,
  backRows: null,
  aspect: 1,
  sizes: EVEN_SIZES,
  own: {},
  ...change,
});
