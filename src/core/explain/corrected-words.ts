import type { Corrections } from '../brief/learnt';
import { correctedChance } from '../stats/logit';

const OF: Readonly<Record<keyof Corrections['widths'], string>> = {
  days: 'of days',
  definition: 'of definition',
  stretch: 'of stretch',
  pace: 'of the time it takes to set',
};
/** The chance by which a correction is told. */
const TOLD = 0.9;

/**
 * What the figures of a plan are put right by, a sentence each; none where nothing is.
 *
 * @example
 * correctedWords({ dry: { shift: -0.5943, slope: 0.5736 }, widths: { days: 1.28 } })
 * // => ['A chance of 90 % to be dry is told as 66 %', 'The range of days is 1.28× as wide']
 */
export function correctedWords({ dry, widths }: Corrections): string[] {
  const percent = (chance: number) => `${Math.round(100 * chance)} %`;
  return [
    ...(dry
      ? [`A chance of ${percent(TOLD)} to be dry is told as ${percent(correctedChance(dry, TOLD))}`]
      : []),
    ...(Object.keys(OF) as (keyof typeof OF)[]).flatMap((kind) => {
      const width = widths[kind];
      return width === undefined ? [] : [`The range ${OF[kind]} is ${width.toFixed(2)}× as wide`];
    }),
  ];
}
