import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    name: 'simulator',
    environment: 'node',
    include: ['{src,tests}/**/*.test.ts'],
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
