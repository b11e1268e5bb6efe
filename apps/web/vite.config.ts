import { readFile } from 'node:fs/promises';
import react from '@vitejs/plugin-react';
import { transform } from 'esbuild';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
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

/** The service worker by itself: a plain script of one file, at the root of what it serves. */
function serviceWorker(): Plugin {
  return {
    name: 'service-worker',
    async generateBundle() {
      const file = new URL('src/offline/sw.ts', import.meta.url);
      const { code } = await transform(await readFile(file, 'utf8'), {
        loader: 'ts',
        format: 'iife',
        minify: true,
        target: 'es2022',
      });
      this.emitFile({ type: 'asset', fileName: 'sw.js', source: code });
    },
  };
}

export default defineConfig({
  plugins: [
    // The compiler remembers within each component what its inputs leave as it was: a key draws what it changes.
    react({ compiler: true }),
    assetList(),
    serviceWorker(),
    // Packed as tightly as it goes, once: the server sends these to whoever takes them.
    compression({
      algorithms: ['gzip', 'brotliCompress'],
      include: /\.(js|css|svg|json)$/,
      threshold: 1024,
      logLevel: 'silent',
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    // For whoever builds; the server does not serve them.
    sourcemap: 'hidden',
    rollupOptions: {
      input: { main: 'index.html' },
      output: {
        // Dozens of small files that the same pages share would each cost a turn on a slow line.
        // Parts of one another's making, in the order that the sources have.
        strictExecutionOrder: true,
        codeSplitting: {
          groups: [
            {
              name: 'shared',
              minShareCount: 2,
              entriesAware: true,
              // What is merged is loaded by all pages of either part: larger, and every page would bring the charts.
              entriesAwareMergeThreshold: 5_000,
            },
          ],
        },
        // The names of all pages that share a part would be its name.
        chunkFileNames: ({ name }) =>
          `assets/${name.startsWith('shared') ? 'shared' : '[name]'}-[hash].js`,
        entryFileNames: 'assets/[name]-[hash].js',
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
