import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    name: 'simulator',
    environment: 'node',
    include: ['{src,tests}/**/*.test.ts'],
    // Nothing here has a state of its own, so the files of a worker share their imports.
    isolate: false,
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
