import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
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
