import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build, type Plugin } from 'vite';

/** All that has to be there for the application to work with the server stopped; more than this is a mistake. */
const MOST_BYTES = 8_000_000;

/**
 * Writes the service worker beside the built application: app/offline/worker.ts, told the list of all files and a version that
 * is their hash, so that a changed file is a new version.
 */
export function offline(): Plugin {
  let outDir = '';
  return {
    name: 'gelvin-offline',
    apply: 'build',
    configResolved: (config) => void (outDir = config.build.outDir),
    async closeBundle() {
      const walk = (folder: string): string[] =>
        readdirSync(folder).flatMap((f) => {
          const path = join(folder, f);
          return statSync(path).isDirectory() ? walk(path) : [path];
        });
      const files = walk(outDir)
        .filter((f) => !f.endsWith('worker.js') || f.includes('assets'))
        .map((f) => ({ url: `/${relative(outDir, f)}`, bytes: readFileSync(f) }))
        .sort((a, b) => (a.url < b.url ? -1 : 1));
      const size = files.reduce((n, f) => n + f.bytes.length, 0);
      if (size > MOST_BYTES) throw new Error(`the offline copy is ${size} bytes: more than ${MOST_BYTES}`);
      const hash = createHash('sha256');
      for (const f of files) hash.update(f.url).update(f.bytes);
      const version = hash.digest('hex').slice(0, 16);
      await build({
        configFile: false,
        logLevel: 'warn',
        define: {
          __VERSION__: JSON.stringify(version),
          __FILES__: JSON.stringify(files.map((f) => (f.url === '/index.html' ? '/' : f.url))),
        },
        build: {
          outDir,
          emptyOutDir: false,
          copyPublicDir: false,
          target: 'es2023',
          rollupOptions: {
            input: 'app/offline/worker.ts',
            output: { entryFileNames: 'offline-worker.js', format: 'es' },
          },
        },
      });
      writeFileSync(join(outDir, 'version.json'), `${JSON.stringify({ version, files: files.length, bytes: size })}\n`);
    },
  };
}
