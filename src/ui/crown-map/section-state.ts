import { wearMarks, type WearMarkId } from '@/core/diary/day-words';
import { listed } from '@/core/words/words';
import { formatChance } from '../format';
import type { HandMark } from './hand-marks';

/** How a section is shown: each state has a pattern or mark as well as a colour. */
export type SectionState =
  | { readonly kind: 'plain' }
  | { readonly kind: 'in-hand' }
  /** Clipped away, and drier than it should be set. */
  | { readonly kind: 'drying-out' }
  /** `hand` where more than one pair of hands is at the head. */
  | { readonly kind: 'done'; readonly hand?: HandMark | undefined }
  | { readonly kind: 'drying'; readonly chanceDry: number }
  | { readonly kind: 'dry' }
  /** Something is wrong there while it is worn. */
  | { readonly kind: 'marked'; readonly marks: readonly WearMarkId[] };

/** Chance of being dry from which a section is drawn as dry. */
export const DRAWN_DRY = 0.95;

/** The state of a drying section. */
export const dryingState = (chanceDry: number): SectionState =>
  chanceDry >= DRAWN_DRY ? { kind: 'dry' } : { kind: 'drying', chanceDry };

/** What a screen reader says of a state. */
export function stateWords(state: SectionState): string {
  switch (state.kind) {
    case 'plain':
      return 'not started';
    case 'drying-out':
      return 'waits and dries out: mist it';
    case 'in-hand':
      return 'in hand';
    case 'done':
      return state.hand ? `done by ${state.hand.words}` : 'done';
    case 'dry':
      return 'dry';
    case 'marked':
      return listed(state.marks.map((mark) => wearMarks[mark].label.toLowerCase()));
    case 'drying':
      return `${formatChance(state.chanceDry).replace('%', 'percent')} sure to be dry`;
  }
}

/** Four steps from wet to dry, for the wave pattern: 0 wettest. */
export const wetStep = (chanceDry: number): 0 | 1 | 2 | 3 =>
  chanceDry < 0.25 ? 0 : chanceDry < 0.5 ? 1 : chanceDry < 0.8 ? 2 : 3;
