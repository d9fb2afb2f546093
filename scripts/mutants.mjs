// `npm run mutants`: do the tests notice? Each mutant changes one place of a named symbol in a copy of the house, then the
// unit tests that rest on that file run. Survivors are named: a test is missing there.
//   -- NAME ...   only those whose symbol has one of these words in it
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { relative, resolve } from 'node:path';

/** Symbol, what stands in it, what is put in its place. A symbol and not a file: files are moved. */
const MUTANTS = [
  // core: the metal and the card
  ['REDUCE', 's.runOutMm = e.fullMm / 2', 's.runOutMm = e.fullMm'],
  ['REDUCE', "e.on === 'diameter' ? e.byMm / 2 : e.byMm", 'e.byMm'],
  ['shiftDepths', 's.depthMm -= by', 's.depthMm += by'],
  ['SAME_PLACE_MM', '= 0.5', '= 5'],
  ['LEAST_SIDE_DEG', '= 5', '= 35'],
  ['STAGE_END_MM', '= 0.02', '= 0.2'],
  ['OLD_ROOT_SHARE', '= 0.05', '= 0'],
  ['BEGIN_SHORT_MM', '= 0.05', '= 0.01'],
  ['SMALL_REST_MM', '= 0.03', '= 0.3'],
  ['dialReading', '(perTurn - inTurn) % perTurn', 'inTurn'],
  // core: numbers
  ['SHORT_DEG', '= 2', '= 4'],
  ['turnOfWork', '1n : -1n', '-1n : 1n'],
  ['angledMove', 'slideMm * cosDeg(angleDeg)', 'slideMm * sinDeg(angleDeg)'],
  ['leadOfTrain', '.mul(fixedRatio)', ''],
  ['gearsToChange', 'wanted - same', '0 - same'],
  ['bracketedRoot', 'const share = least / Math.abs(b - a)', 'const share = 0.5'],
  ['stepDepths', 'Math.min(cap, Math.max(floor, stepFor(load, d)))', 'Math.max(floor, stepFor(load, d))'],
  ['externalDepthMm', '+ form.external.innerMm', ''],
  ['THRUST_SHARE', '= 0.5', '= 0.8'],
  ['ANOTHER_PITCH_PPM', '= 3000', '= 30000'],
  // app
  ['sifted', "Number(key(a) === '') - Number(key(b) === '')", "Number(key(b) === '') - Number(key(a) === '')"],
  ['sumsOf', 'at += 46 + name + extra + note', 'at += 46 + name + extra'],
  ['STEPS', 'ArrowDown: -1', 'ArrowDown: 1'],
  // sim
  ['travelOf', '(turn - collar) % turn', 'collar % turn'],
  ['Slide', 'this.at > mm + this.slackMm', 'this.at > mm'],
];

const asked = process.argv.slice(2);
const wanted = MUTANTS.filter(([symbol]) => asked.length === 0 || asked.some((a) => symbol.includes(a)));
const git = (...args) => {
  const r = spawnSync('git', args, { encoding: 'utf8' });
  if (r.status !== 0 && !args.includes('grep')) throw new Error(r.stderr);
  return r.stdout;
};

/** Where a symbol is declared, and from which place of the file on. @returns {{ file: string, at: number } | null} */
function declared(symbol) {
  const pattern = `(const|function|class|export const|export function|export class) (${symbol})\\b`;
  const files = git('grep', '-lE', pattern, '--', 'core', 'app', 'sim', 'words', ':!*.test.ts', ':!*.test.tsx').trim();
  for (const file of files.split('\n').filter(Boolean)) {
    const at = readFileSync(file, 'utf8').search(new RegExp(`(const|function|class) (${symbol})\\b`));
    if (at >= 0) return { file, at };
  }
  return null;
}

// the copy: sources as they are here, made files and packages with them
const copy = resolve('out/mutants');
rmSync(copy, { recursive: true, force: true });
mkdirSync(copy, { recursive: true });
const ROOTS = ['app', 'cli', 'core', 'demo', 'ops', 'public', 'scripts', 'server', 'sim', 'words', 'docs'];
for (const name of [...ROOTS, 'package.json', 'jest.config.js', 'tsconfig.base.json', 'tsconfig.json'])
  cpSync(name, `${copy}/${name}`, { recursive: true });
symlinkSync(resolve('node_modules'), `${copy}/node_modules`);

/** @returns {{ caught: boolean, by: string }} whether a test that rests on this file fails, and which */
function caught(file) {
  const jest = 'node_modules/jest/bin/jest.js';
  const node = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
  const workers = String(availableParallelism());
  const r = spawnSync(
    process.execPath,
    [...node, jest, '--bail', '--silent', '--maxWorkers', workers, '--findRelatedTests', file],
    { cwd: copy, encoding: 'utf8', maxBuffer: 1e9, env: { ...process.env, FORCE_COLOR: '0' } },
  );
  if (/No tests found/.test(r.stdout + r.stderr)) return { caught: false, by: 'no test' };
  const by = /FAIL (\S+)/.exec(r.stdout + r.stderr)?.[1] ?? '';
  return { caught: r.status !== 0, by };
}

const rows = [];
for (const [symbol, from, to] of wanted) {
  const started = Date.now();
  const place = declared(symbol);
  const source = place && readFileSync(place.file, 'utf8');
  const at = source ? source.indexOf(from, place.at) : -1;
  if (!place || at < 0) {
    rows.push({ symbol, result: 'NOT FOUND' });
    console.log(`NOT FOUND ${symbol}: ${from} (bring the list up to date)`);
    continue;
  }
  const file = `${copy}/${place.file}`;
  writeFileSync(file, source.slice(0, at) + to + source.slice(at + from.length));
  const { caught: yes, by } = caught(place.file);
  writeFileSync(file, source);
  rows.push({ symbol, result: yes ? 'caught' : 'SURVIVES' });
  console.log(
    `${yes ? 'caught  ' : 'SURVIVES'} ${symbol}: ${from} -> ${to || 'nothing'}${by ? ` (${relative('.', by)})` : ''} ${Math.round((Date.now() - started) / 1000)} s`,
  );
}
const n = rows.filter((r) => r.result === 'caught').length;
console.log(`\n${n} of ${rows.length} mutants caught`);
rmSync(copy, { recursive: true, force: true });
process.exit(rows.some((r) => r.result === 'NOT FOUND') ? 2 : 0);
