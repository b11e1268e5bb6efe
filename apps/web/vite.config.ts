import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import type { Plugin } from 'vite';

/** Lists what the page may load, for the service worker to keep. */
function assetList(): Plugin {
  return {
    name: 'asset-list',
    generateBundle(_options, bundle) {
      const files = Object.keys(bundle).filter(
        (file) => file.startsWith('assets/') && !file.endsWith('.map'),
      );
      this.emitFile({
        type: 'asset',
        fileName: 'asset-list.json',
        source: JSON.stringify(files.map((file) => `/${file}`)),
      });
    },
  };
}

export default defineConfig({
  plugins: [react(), assetList()],
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    // For whoever builds; the server does not serve them.
    sourcemap: 'hidden',
    rollupOptions: {
      input: { main: 'index.html', sw: 'src/offline/sw.ts' },
      output: {
        // A service worker has one name for good, at the root of what it serves.
        entryFileNames: ({ name }) => (name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js'),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
