import { defineConfig } from 'vite';
// The headless door and the benchmark, for Node.
export default defineConfig({
  // its packages stand in the same files: to find them one by one takes longer than to read them
  // reading pictures is machine code of its own, looked for when a picture comes
  ssr: { noExternal: true, external: ['sharp'] },
  build: {
    ssr: true,
    outDir: 'dist/cli',
    target: 'node20',
    emptyOutDir: true,
    copyPublicDir: false,
    // what the door takes to start is reading its own text
    minify: true,
    rolldownOptions: { input: { calc: 'cli/calc.ts', bench: 'cli/bench.ts', shop: 'cli/shop/shop.ts' } },
  },
});
