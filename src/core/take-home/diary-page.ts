import type { Half } from '../hair/half';
import type { RatingId } from '../wear/rating-scales';
import type { HomeDay } from './diary-code';

/** A forecast of one scale on one day: low, likely, high. */
export type SaidAtHome = readonly [low: number, likely: number, high: number];

/** All that a take-home diary is made of: it stands in the file and nothing else is ever fetched. */
export interface DiaryPage {
  readonly id: string;
  /** What its entries are signed with, so that only they are taken in. */
  readonly key: string;
  readonly studio: string;
  readonly head: string;
  /** "24 twists". */
  readonly style: string;
  /** YYYY-MM-DD: day 0. */
  readonly takenDownOn: string;
  readonly halves: readonly Half[];
  /** Forecasts by half, and by day from 0. */
  readonly said: Partial<Record<Half, readonly Partial<Record<RatingId, SaidAtHome>>[]>>;
  /** What to do tonight, in a sentence. */
  readonly tonight: string;
  /** How it is freshened up, and what to mind. */
  readonly care: readonly string[];
  /** When to wash, in a sentence. */
  readonly wash: string;
  readonly skin: string;
  readonly hair: string;
  /** What the studio has of its days already. */
  readonly known: readonly HomeDay[];
}
