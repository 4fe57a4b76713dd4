import { runLanes } from './lanes';

// The slowest check by itself, the others beside it: two cores are kept busy.
await runLanes([['lint'], ['format:check', 'types', 'cycles', 'dead-code', 'dependencies']]);
