import { existsSync, writeFileSync } from 'node:fs';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { goldenFigures } from '../tests/golden/figures';

/** Keeps the figures of a new version of the model. Those of an older one are never written again. */
const file = `tests/golden/${MODEL_VERSION}.json`;
if (existsSync(file)) throw new Error(`${file} is there: raise MODEL_VERSION before figures may move`);
writeFileSync(file, `${JSON.stringify(goldenFigures(), null, 1)}\n`);
console.log(file);
