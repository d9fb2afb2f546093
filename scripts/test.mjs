// `npm test` after the bootstrap: types, lint, dependency rules, what nothing uses, unit tests, then the real interface in Chromium.
// Every step runs even when an earlier one failed, so that one run tells all that is wrong.
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';

rmSync('out', { recursive: true, force: true });
const failed = [];
for (const step of ['typecheck', 'lint', 'arch', 'unused', 'unit', 'e2e']) {
  console.log(`\n== ${step}`);
  const started = Date.now();
  const { status } = spawnSync('npm', ['run', '--silent', step], { stdio: ['ignore', 'inherit', 'inherit'] });
  console.log(`== ${step}: ${status === 0 ? 'ok' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(0)} s`);
  if (status !== 0) failed.push(step);
}
if (failed.length > 0) console.error(`\nFailed: ${failed.join(', ')}`);
process.exit(failed.length > 0 ? 1 : 0);
