import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compress } from './scripts/compress.ts';
import { offline } from './scripts/offline.ts';

export default defineConfig({
  plugins: [react(), tailwindcss(), offline(), compress()],
  worker: { format: 'es' },
  build: {
    outDir: 'dist/client',
    target: 'es2023',
    assetsInlineLimit: 0, // the content policy allows no data: scripts or fonts
    chunkSizeWarningLimit: 900,
  },
  server: { port: 5173, host: '127.0.0.1' },
});
