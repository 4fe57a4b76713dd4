import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = {
  '@': fileURLToPath(new URL('./src', import.meta.url)),
  'server-only': fileURLToPath(new URL('./tests/support/server-only.ts', import.meta.url)),
};

export default defineConfig({
  test: {
    // Every core works.
    maxWorkers: '100%',
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: [
            'src/**/*.test.ts',
            'scripts/**/*.test.ts',
            'tests/archive/**/*.test.ts',
            'tests/golden/**/*.test.ts',
          ],
          environment: 'node',
          // Which next.config.ts switches on where pages are built.
          env: { __NEXT_EXPERIMENTAL_AUTH_INTERRUPTS: 'true', LOG_LEVEL: 'error' },
          setupFiles: ['tests/support/laws.ts'],
          // Files of a worker share its modules: each puts back what it stubs. A third of the time is saved.
          isolate: false,
          // A busy machine is no failure: time is for the bench.
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'flows',
          include: ['tests/flows/**/*.test.ts', 'tests/a11y/**/*.test.ts'],
          environment: 'node',
          // A page waits more than it works: two files at a time take two thirds of the time of one after the other.
          maxWorkers: 2,
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
    ],
  },
});
