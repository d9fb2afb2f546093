import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compress } from './scripts/compress.ts';
import { offline } from './scripts/offline.ts';

const NOTHING = fileURLToPath(new URL('scripts/nothing.ts', import.meta.url));

export default defineConfig({
  plugins: [react(), tailwindcss(), offline(), compress()],
  // the PDF writer's helpers for drawing web pages, never asked here: 100 kB
  resolve: { alias: { html2canvas: NOTHING, canvg: NOTHING, dompurify: NOTHING } },
  worker: { format: 'es' },
  build: {
    outDir: 'dist/client',
    target: 'es2023',
    assetsInlineLimit: 0, // the content policy allows no data: scripts or fonts
    chunkSizeWarningLimit: 900,
  },
  server: { port: 5173, host: '127.0.0.1' },
});
