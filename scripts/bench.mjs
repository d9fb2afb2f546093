// `npm run bench`: how fast it is. Without a word all of it; `-- calibration`, `-- browser` or another part by itself.
import { spawnSync } from 'node:child_process';

const [part] = process.argv.slice(2);
const run = (cmd, args, env = {}) => {
  const r = spawnSync(cmd, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (r.status !== 0) process.exit(r.status ?? 1);
};
if (part !== 'browser') run(process.execPath, ['dist/cli/bench.js', ...process.argv.slice(2)]);
// in a real browser: the first screen and each act; ten thousand jobs in the list, a key in its search, opening one
if (part === undefined || part === 'browser') {
  run(process.execPath, ['scripts/bench-browser.mjs']);
  run('npx', ['playwright', 'test', 'faults', '-g', 'ten thousand', '--workers=1'], { FAULTS: 'many' });
}
