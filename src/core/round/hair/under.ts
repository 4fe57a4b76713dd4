import { seededRng } from '../../random/rng';
import type { HeadGrid } from '../head/head-grid';
import { onScalp } from '../head/scalp';
import type { RoundPen } from '../mesh';
import { handOf, type RoundModel } from '../model';
import { add } from '../vec';
import { combed, type Worn } from './axis';
import { rootsIn } from './roots';

/** Short dark hair at the roots of a head that is worn: no scalp shines through. */
const RIBBONS = 1500;
const LONG_CM = 1.9;
const POINTS = 4;

/** Draws hair as it lies at the roots, under what is worn. */
export function drawUnder(model: RoundModel, grid: HeadGrid, worn: Worn, mesh: RoundPen): void {
  const perSection = Math.ceil(RIBBONS / Math.max(1, model.sections.length));
  for (const section of model.sections) {
    const chance = seededRng(model.seed + 3, section.number);
    for (const root of rootsIn(section.outline, section.centroid, perSection, chance, handOf(section))) {
      const place = onScalp(root, grid.scale);
      const comb = combed(place, 20, worn);
      const points = new Float64Array(3 * POINTS);
      for (let i = 0; i < POINTS; i++) {
        const s = (LONG_CM * i) / (POINTS - 1);
        points.set(add(add(place.at, comb, s), place.normal, 0.05 + 0.22 * s), 3 * i);
      }
      mesh.ribbon(points, {
        tier: 'locks',
        kind: 'scalp',
        half: (share) => 0.16 * (1 - 0.7 * share),
        seed: chance(),
      });
    }
  }
}
