import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

const [br, gz] = [promisify(brotliCompress), promisify(gzip)];
/** Text of this size and more is worth a second file. */
const LEAST_BYTES = 1024;

/** Beside every text asset FILE.br and FILE.gz, packed as small as it goes: once at the build, and never for a request. */
export function compress(): Plugin {
  let outDir = '';
  return {
    name: 'gelvin-compress',
    apply: 'build',
    configResolved: (config) => void (outDir = config.build.outDir),
    closeBundle: {
      order: 'post',
      sequential: true,
      async handler() {
        const files = readdirSync(outDir, { recursive: true, encoding: 'utf8' })
          .map((f) => join(outDir, f))
          .filter((f) => /\.(js|css|html|svg|json|webmanifest|txt)$/.test(f) && statSync(f).size > LEAST_BYTES);
        await Promise.all(
          files.map(async (f) => {
            const bytes = readFileSync(f);
            const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length };
            const [b, g] = await Promise.all([br(bytes, { params }), gz(bytes, { level: 9 })]);
            writeFileSync(`${f}.br`, b);
            writeFileSync(`${f}.gz`, g);
          }),
        );
      },
    },
  };
}
