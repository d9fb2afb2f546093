// Runs before every command of package.json. Needs Node alone: no packages.
//   --browser  also makes sure that a Chromium is there
//   --build    also builds whatever is not built from the sources as they are
//   --door     the same for the headless door alone
//   --gen      makes validators, fonts and demo, for the development server
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { inputsOf, readInputs, sameInputs, writeInputs } from './bootstrap/inputs.mjs';
import { notInstalled } from './bootstrap/installed.mjs';
import { withLock } from './bootstrap/lock.mjs';
import { chromium } from './chromium.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
const flags = new Set(process.argv.slice(2));

const run = (cmd, args, env = {}) => {
  console.error(`> ${cmd} ${args.join(' ')}`);
  const r = spawnSync(cmd, args, {
    stdio: ['ignore', 2, 2], // our own standard output belongs to the command that follows (npm run calc)
    env: { ...process.env, ...env },
  });
  if (r.status === 0) return;
  console.error(`failed: ${cmd} ${args.join(' ')}`);
  process.exitCode = r.status ?? 1;
  throw new Error('stopped');
};
const npm = (...args) =>
  process.env.npm_execpath ? run(process.execPath, [process.env.npm_execpath, ...args]) : run('npm', args);

// --- packages
const isInstalled = () => notInstalled().length === 0;
const install = () => npm('ci', '--include=dev');

// --- browser for the end-to-end tests
const CHROMIUM = [
  process.env.CHROMIUM_PATH,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];
const hasBrowser = () => CHROMIUM.some((p) => p && existsSync(p));
function installBrowser() {
  if (!existsSync('/usr/bin/apt-get')) {
    console.error('No Chromium found: install one, or name its program in CHROMIUM_PATH.');
    process.exitCode = 1;
    throw new Error('stopped');
  }
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [cmd, ...rest] = [...asRoot, 'apt-get', ...args];
    run(cmd, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  };
  apt('update', '-q');
  apt('install', '-y', '-q', '--no-install-recommends', 'chromium-headless-shell');
}

// --- what is made from the sources: its inputs, what it leaves, and how it is made
const SOURCES = ['core', 'words', 'ops', 'demo', 'scripts', 'package.json', 'package-lock.json'];
const isSource = (path) => !/\.test\.tsx?$|\/generated\//.test(path) && !path.startsWith('scripts/bootstrap');
const GENERATED = [
  'core/formats/generated/job.js',
  'core/formats/generated/shop.js',
  'core/sheet/generated',
  'app/sheets/generated',
  'public/demo.json',
];
const MADE = {
  gen: { from: SOURCES, leaves: GENERATED, make: () => npm('run', 'gen') },
  door: {
    from: [...SOURCES, 'cli', 'sim', 'vite.cli.config.ts'],
    leaves: ['dist/cli/calc.js', 'dist/cli/shop.js', 'dist/cli/bench.js'],
    make: () => npm('exec', '--', 'vite', 'build', '-c', 'vite.cli.config.ts'),
  },
  client: {
    from: [...SOURCES, 'app', 'public', 'index.html', 'vite.config.ts'],
    leaves: ['dist/client/index.html'],
    make: () => npm('exec', '--', 'vite', 'build'),
  },
  server: {
    from: ['server', 'package-lock.json', 'vite.server.config.ts'],
    leaves: ['dist/server/main.js'],
    make: () => npm('exec', '--', 'vite', 'build', '-c', 'vite.server.config.ts'),
  },
};
const KEPT = 'node_modules/.cache/gelvin';
const listOf = (name) => `${KEPT}/${name}.json`;
/** @returns {{ fresh: boolean, inputs: object }} */
function standOf(name) {
  const { from, leaves } = MADE[name];
  const known = readInputs(listOf(name));
  const inputs = inputsOf(from, isSource, known ?? {});
  return { fresh: known !== null && leaves.every((p) => existsSync(p)) && sameInputs(known, inputs), inputs };
}
const isMade = (name) => standOf(name).fresh;
function make(name) {
  // what is changed while it is built differs from this list, and is built at the next command
  const { fresh, inputs } = standOf(name);
  if (fresh) return;
  MADE[name].make();
  mkdirSync(KEPT, { recursive: true });
  writeInputs(listOf(name), inputs);
}

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node ${readFileSync('.nvmrc', 'utf8').trim()} or newer is needed; this is ${process.versions.node}.`);
  process.exit(1);
}

const wanted = flags.has('--build')
  ? ['gen', 'client', 'server', 'door']
  : flags.has('--door')
    ? ['gen', 'door']
    : flags.has('--gen')
      ? ['gen']
      : [];
const needsBrowser = flags.has('--browser');
const ready = () => isInstalled() && (!needsBrowser || hasBrowser()) && wanted.every(isMade);

try {
  // most of the time all is there, and then nobody waits for anybody
  if (existsSync('.bootstrap.lock') || !ready())
    await withLock(
      '.bootstrap.lock',
      () => {
        if (!isInstalled()) install();
        if (needsBrowser && !hasBrowser()) installBrowser();
        for (const name of wanted) make(name);
      },
      (owner) =>
        console.error(
          `Another command is installing or building${owner ? ` (process ${owner.pid})` : ''}: waiting for it.`,
        ),
    );
} catch (e) {
  if (e.message !== 'stopped') throw e;
}
