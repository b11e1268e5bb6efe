import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  // Compiled as the product is.
  plugins: [react({ compiler: true })],
  // One react-router instance: its CommonJS and module files must not both be loaded.
  resolve: { conditions: ['module-sync', 'development|production'] },
  test: {
    name: 'web',
    environment: 'jsdom',
    include: ['{src,tests}/**/*.test.{ts,tsx}'],
    setupFiles: ['./tests/setup.ts'],
    // Importing was half of their time: the tests of a worker share it, on a new page for each file.
    isolate: false,
    // What one file puts in place of a global or a function must not reach the next.
    unstubGlobals: true,
    restoreMocks: true,
    // A dialog of a dozen fields is slow to press through on a busy machine; nothing here is timed.
    testTimeout: 300_000,
  },
});
