import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    name: 'server',
    environment: 'node',
    include: ['{src,tests}/**/*.test.ts'],
    globalSetup: './tests/postgres.setup.ts',
    hookTimeout: 60_000,
    testTimeout: 30_000,
  },
});
