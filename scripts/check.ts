import { runLanes } from './lanes';

const begunMs = Date.now();
// What can go wrong without a browser: tests, and what reads the code.
await runLanes([['test:unit'], ['types', 'lint:quick', 'cycles', 'dead-code']]);
console.log(`check: ${Math.round((Date.now() - begunMs) / 1000)} s`);
