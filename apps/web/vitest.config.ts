import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  // One react-router instance: its CommonJS and module files must not both be loaded.
  resolve: { conditions: ['module-sync', 'development|production'] },
  test: {
    name: 'web',
    environment: 'jsdom',
    include: ['{src,tests}/**/*.test.{ts,tsx}'],
    setupFiles: ['./tests/setup.ts'],
    // A dialog of a dozen fields is slow to press through on a busy machine; nothing here is timed.
    testTimeout: 300_000,
  },
});
