import type { LaidSection } from '../parting/layout';

/** What of a head one of several pairs of hands does first. */
export const SHARES = ['all', 'left', 'right', 'from-last'] as const;
export type Share = (typeof SHARES)[number];

/** The sections in the order this hand takes them: its own share first, then what the others left. */
export function orderOfShare(
  sections: readonly Pick<LaidSection, 'number' | 'side'>[],
  share: Share,
): number[] {
  const byNumber = [...sections].sort((a, b) => a.number - b.number);
  if (share === 'from-last') return byNumber.reverse().map(({ number }) => number);
  const isOwn = ({ side }: Pick<LaidSection, 'side'>) => share === 'all' || side === share;
  return [...byNumber.filter(isOwn), ...byNumber.filter((section) => !isOwn(section))].map(
    ({ number }) => number,
  );
}
