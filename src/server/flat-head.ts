import type { Units } from '@/core/formats/display';
import type { CameOut } from '@/core/round/came-out';
import { HONESTLY } from '@/core/round/facts';
import type { PaperFigures } from '@/core/round/flat-paper';
import type { RoundState } from '@/core/round/state';
import { cmFromInches } from '@/core/units/length';
import { AppError } from './errors';
import { inPool } from './pool';

/** From where a head is looked at on paper: from the front, a little from her right. */
const FROM_RAD = -0.42;

/** A state that is printed, and what is written under it. */
export interface PrintedState {
  readonly state: RoundState;
  readonly words: string;
}

/** A head drawn flat for paper; null where there was no time for it: a page is printed without rather than not at all. */
export async function flatHead(
  brief: unknown,
  cameOut: CameOut | null,
  printed: readonly PrintedState[],
  units: Units,
): Promise<PaperFigures | null> {
  const states = printed.map(({ state }) => state);
  const pictures = await inPool(
    'flatHead',
    { brief, cameOut, states, azimuthRad: FROM_RAD },
    'pictures',
  ).catch((thrown: unknown) => {
    if (thrown instanceof AppError) return null;
    throw thrown;
  });
  return (
    pictures && {
      pictures: pictures.map((picture, i) => ({ picture, words: printed[i]!.words })),
      bar: units.length === 'cm' ? { cm: 5, words: '5 cm' } : { cm: cmFromInches(2), words: '2 in' },
      told: HONESTLY,
    }
  );
}
