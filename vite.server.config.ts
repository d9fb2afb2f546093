import { defineConfig } from 'vite';
// The server as one ES module file; node_modules stay external.
export default defineConfig({
  build: { ssr: 'server/main.ts', outDir: 'dist/server', target: 'node20', emptyOutDir: true, copyPublicDir: false },
});
