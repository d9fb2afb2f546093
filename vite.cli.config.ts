import { defineConfig } from 'vite';
// The headless door and the benchmark, for Node.
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/cli',
    target: 'node20',
    emptyOutDir: true,
    copyPublicDir: false,
    rolldownOptions: { input: { calc: 'cli/calc.ts', bench: 'cli/bench.ts', shop: 'cli/shop/shop.ts' } },
  },
});
