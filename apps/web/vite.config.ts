import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import { withoutWork } from './without-work.ts';
import { withServiceWorker } from './with-service-worker.ts';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';

/** The last two steps of quality take six times as long for three parts in a hundred. */
const quick = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

export default defineConfig({
  // Packed once here, not at every request; fonts are packed as they come.
  plugins: [
    react(),
    tailwind(),
    withoutWork(),
    compression({
      algorithms: ['gzip', defineAlgorithm('brotliCompress', quick)],
      include: /\.(html|js|css|json|svg)$/,
      threshold: 1024,
    }),
    withServiceWorker(),
  ],
  resolve: {
    conditions: ['source', 'module', 'browser', 'development|production'],
    // The engine that shapes letters names this for Node alone.
    alias: [{ find: /^module$/, replacement: fileURLToPath(new URL('src/workers/no-node.ts', import.meta.url)) }],
  },
  worker: { format: 'es' },
  server: { port: 5173, strictPort: false, proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? '4780'}` } },
  build: {
    chunkSizeWarningLimit: 900,
    // What packing takes is known.
    rolldownOptions: { checks: { pluginTimings: false } },
  },
});
