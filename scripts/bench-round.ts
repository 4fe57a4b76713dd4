import { forecast } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { buildRound } from '@/core/round/build';
import { ran } from '@/core/work';
import { headSurface } from '@/core/round/head/surface';
import { roundOf } from '@/core/round/round-of';
import { TECHNIQUE_IDS } from '@/core/techniques';
import { usualBrief } from '../tests/support/usual-brief';
import { readOrThrow } from '../tests/support/briefs';

/** Prints how long each technique takes to be built in the round, and in how many triangles. */
export function benchRound(): void {
  const began = performance.now();
  headSurface();
  console.log(`in the round: the head once ${(performance.now() - began).toFixed(0)} ms`);
  for (const id of TECHNIQUE_IDS) {
    const brief = readOrThrow(usualBrief(id));
    const model = roundOf(brief, forecast(brief, layoutFor(brief), 0));
    const told = ([['set'], ['worn', 0], ['worn', 3]] as const).map(([kind, day = 0]) => {
      const start = performance.now();
      const { hair } = ran(buildRound(model, kind === 'set' ? { kind } : { kind, day, reach: 'likely' }));
      return `${(performance.now() - start).toFixed(0)} ms ${Math.round(hair.indices.length / 3000)}k`;
    });
    console.log(`  ${id}: in the set ${told[0]}, first day ${told[1]}, day 3 ${told[2]}`);
  }
}
