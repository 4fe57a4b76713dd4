import type { Hand, RunState } from '@/core/run/run-state';
import { handMark, type HandMark } from '@/ui/crown-map/hand-marks';

/** Whose hand it is, in words. */
function handWords({ hand, name }: Hand, ownHand: string | null): string {
  if (hand === ownHand) return 'you';
  return name ?? 'another device';
}

/** The hands at a head with their marks, by hand; empty while there is only one. */
export function handMarks(state: RunState, ownHand: string | null): ReadonlyMap<string, HandMark> {
  if (state.hands.length < 2) return new Map();
  return new Map(state.hands.map((hand, place) => [hand.hand, handMark(place, handWords(hand, ownHand))]));
}
