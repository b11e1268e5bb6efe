import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    name: 'server',
    environment: 'node',
    include: ['{src,tests}/**/*.test.ts'],
    globalSetup: './tests/postgres.setup.ts',
    // The server keeps no state of its own in its modules; importing them anew was a fifth of these tests.
    isolate: false,
    hookTimeout: 300_000,
    // A guard against what hangs; nothing here is timed, and hosts differ.
    testTimeout: 300_000,
  },
});
