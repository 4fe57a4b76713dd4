import type { LaidSection } from '../parting/layout';

/** What of a head one of several pairs of hands does first. */
export const SHARES = ['all', 'left', 'right', 'from-last'] as const;
export type Share = (typeof SHARES)[number];

/**
 * The sections in the order this hand takes them: its own share first, then what the others left.
 *
 * @param sections in working order
 */
export function orderOfShare(
  sections: readonly Pick<LaidSection, 'number' | 'side'>[],
  share: Share,
): number[] {
  if (share === 'from-last') return sections.map(({ number }) => number).reverse();
  const isOwn = ({ side }: Pick<LaidSection, 'side'>) => share === 'all' || side === share;
  return [...sections.filter(isOwn), ...sections.filter((section) => !isOwn(section))].map(
    ({ number }) => number,
  );
}
