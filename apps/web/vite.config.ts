import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwind()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { port: 5173, strictPort: false, proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? '4780'}` } },
  build: { chunkSizeWarningLimit: 1500 },
});
