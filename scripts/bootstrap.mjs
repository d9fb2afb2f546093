// Runs before `npm start` and `npm test`. Needs Node alone: no packages.
//   --browser  also makes sure that a Chromium is there   --build  also builds when sources are newer than dist/
//   --door     builds the headless door alone when its own sources are newer
//   --gen      also makes the validators, for the development server
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
const flags = new Set(process.argv.slice(2));
const run = (cmd, args, env = {}) => {
  console.error(`> ${cmd} ${args.join(' ')}`);
  const r = spawnSync(cmd, args, {
    stdio: ['ignore', 2, 2], // our own standard output belongs to the command that follows (npm run calc)
    env: { ...process.env, ...env },
  });
  if (r.status !== 0) {
    console.error(`failed: ${cmd} ${args.join(' ')}`);
    process.exit(r.status ?? 1);
  }
};
const npm = (...args) =>
  process.env.npm_execpath ? run(process.execPath, [process.env.npm_execpath, ...args]) : run('npm', args);

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error('Node 20.19 or newer is needed.');
  process.exit(1);
}

// 1. packages: the lock file's hash is kept inside node_modules (file times mean nothing after a git checkout)
const stamp = 'node_modules/.lock-sha256';
const want = createHash('sha256').update(readFileSync('package-lock.json')).update(process.version).digest('hex');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== want) {
  npm('ci', '--include=dev');
  writeFileSync(stamp, want);
}

// 2. browser for the end-to-end tests
if (flags.has('--browser')) {
  const found = [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ].find((p) => p && existsSync(p));
  if (!found) {
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    const apt = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', '-n', 'apt-get'];
    if (!existsSync('/usr/bin/apt-get')) {
      console.error('No Chromium found: set CHROMIUM_PATH.');
      process.exit(1);
    }
    run(apt[0], [...apt.slice(1), 'update', '-q'], env);
    run(apt[0], [...apt.slice(1), 'install', '-y', '-q', '--no-install-recommends', 'chromium'], env);
  }
}

// 3. build
const newest = (p) => {
  const s = statSync(p);
  return s.isDirectory() ? Math.max(0, ...readdirSync(p).map((f) => newest(`${p}/${f}`))) : s.mtimeMs;
};
const isOlder = (done, inputs) => !existsSync(done) || statSync(done).mtimeMs < Math.max(...inputs.map(newest));
const DOOR = ['core', 'words', 'ops', 'cli', 'demo', 'sim', 'scripts', 'package-lock.json', 'vite.cli.config.ts'];
if (flags.has('--build')) {
  const inputs = [...DOOR, 'app', 'server', 'public', 'index.html', 'vite.config.ts', 'vite.server.config.ts'];
  if (isOlder('dist/.built', inputs)) {
    npm('run', 'build');
    for (const done of ['dist/.built', 'dist/.door']) writeFileSync(done, '');
  }
}
if (flags.has('--door') && isOlder('dist/.door', DOOR)) {
  npm('run', 'gen');
  npm('exec', '--', 'vite', 'build', '-c', 'vite.cli.config.ts');
  writeFileSync('dist/.door', '');
}

// 4. validators alone
if (flags.has('--gen')) npm('run', 'gen');
