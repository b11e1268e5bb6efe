import { defineConfig } from 'vitest/config';

export default defineConfig({
  // A guard against what hangs; nothing here is timed.
  test: {
    name: 'demo',
    environment: 'node',
    include: ['{src,tests}/**/*.test.ts'],
    testTimeout: 300_000,
  },
});
