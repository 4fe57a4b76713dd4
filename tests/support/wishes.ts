import type { WishInput } from '@/core/formats/wish';
import { readWish } from '@/core/suggest/read-wish';
import { reasonsFor } from '@/core/suggest/reasons';
import { suggest, type Suggested } from '@/core/suggest/suggest';
import { ran } from '@/core/work';
import type { Pick } from '@/core/suggest/search';
import type { Wish } from '@/core/suggest/ask';

/** A set begun in the evening and worn in the morning. */
export const overnight = {
  startAt: '2027-03-12T18:00:00',
  wearBy: '2027-03-13T09:00:00',
  timeZone: 'UTC',
} as const;

/** A wish of a head, overnight unless it says otherwise. */
export const wishOf = (head: WishInput['head'], part: Partial<WishInput> = {}): WishInput => ({
  format: 'keen-spiral/wish',
  version: 1,
  head,
  ...overnight,
  ...part,
});

/** The same, read. @throws Error with what is wrong */
export function readWishOf(raw: WishInput): Wish {
  const read = readWish(raw);
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return read.value.wish;
}

/** What is suggested for a wish, and its draft. */
export function suggested(raw: WishInput): { wish: Wish; found: Suggested; draft: Pick } {
  const wish = readWishOf(raw);
  const found = ran(suggest(wish));
  return { wish, found, draft: found.picks[0]! };
}

/** Why the draft of a wish is as it is. */
export const reasonsOf = ({ wish, found, draft }: ReturnType<typeof suggested>) =>
  reasonsFor(wish, found.search, draft, found.kinds);
