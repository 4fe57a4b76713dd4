import { existsSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { goldenFigures } from './figures';

// Engines differ in the last digits of an exponential; nothing that anybody reads does.
const TOLERANCE = 1e-6;

it('no figure moves without a new version of the model', () => {
  const file = `tests/golden/${MODEL_VERSION}.json`;
  expect(existsSync(file), `${file} is missing: npm run golden`).toBe(true);
  const kept = JSON.parse(readFileSync(file, 'utf8')) as ReturnType<typeof goldenFigures>;
  const now = goldenFigures();
  expect(Object.keys(now)).toEqual(Object.keys(kept));
  const moved = Object.entries(now).flatMap(([brief, figures]) =>
    Object.entries(figures)
      .filter(([key, value]) => {
        const before = kept[brief]![key];
        return before === undefined || Math.abs(value - before) > TOLERANCE * Math.max(1, Math.abs(before));
      })
      .map(([key, value]) => `${brief}, ${key}: ${kept[brief]![key]} → ${value}`),
  );
  expect(moved, 'figures moved: raise MODEL_VERSION and run npm run golden, or mend what moved them').toEqual(
    [],
  );
});
