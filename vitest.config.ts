import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // It would leave one core to itself, which on two cores is half of them.
    maxWorkers: availableParallelism(),
    projects: [
      'packages/*',
      'apps/*',
      'demo',
      {
        test: {
          name: 'structure',
          include: ['tests/**/*.test.ts'],
          environment: 'node',
          testTimeout: 300_000,
        },
      },
    ],
  },
});
