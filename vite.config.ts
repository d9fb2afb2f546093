import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig, type Rolldown } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compress } from './scripts/compress.ts';
import { offline } from './scripts/offline.ts';

const MAIN = fileURLToPath(new URL('app/main.tsx', import.meta.url));
const FIRST = fileURLToPath(new URL('app/shop/Jobs.tsx', import.meta.url));
const NOTHING = fileURLToPath(new URL('scripts/nothing.ts', import.meta.url));

/** Modules that the list of jobs is shown with, itself included. */
let first: Set<string> | null = null;
function firstScreen(c: Rolldown.ChunkingContext): Set<string> {
  if (first) return first;
  first = new Set();
  const todo = [FIRST, MAIN];
  for (let id = todo.pop(); id !== undefined; id = todo.pop()) {
    if (first.has(id)) continue;
    first.add(id);
    todo.push(...(c.getModuleInfo(id)?.importedIds ?? []));
  }
  return first;
}

const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };

export default defineConfig({
  define: { 'import.meta.env.VITE_GELVIN_VERSION': JSON.stringify(version) },
  plugins: [react(), tailwindcss(), offline(), compress()],
  // the PDF writer's helpers for drawing web pages, never asked here: 100 kB
  resolve: { alias: { html2canvas: NOTHING, canvg: NOTHING, dompurify: NOTHING } },
  worker: { format: 'es' },
  build: {
    outDir: 'dist/client',
    target: 'es2023',
    assetsInlineLimit: 0, // the content policy allows no data: scripts or fonts
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        // files that hold what several views share ask for one another: each module still runs after those that it needs
        strictExecutionOrder: true,
        codeSplitting: {
          groups: [
            // the first screen asks for what it needs and nothing else
            { name: (id, c) => (firstScreen(c).has(id) ? 'first' : null), debugName: 'first', priority: 2 },
            // what several views share, in a few files: each of two hundred small ones costs a browser more than its size
            { name: 'shared', minShareCount: 2, priority: 1, entriesAware: true, entriesAwareMergeThreshold: 60_000 },
          ],
        },
      },
    },
  },
  server: { port: 5173, host: '127.0.0.1' },
});
