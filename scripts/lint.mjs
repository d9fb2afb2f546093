// `npm run lint:code`: what oxlint finds, and whether functions grow more entangled. No function may have more than LIMIT ways
// through it (McCabe's number) but those of scripts/entangled.json, and those only as many as stand there: the list may only
// get shorter and its numbers smaller.
//   --write  writes the list anew
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

const LIMIT = 20;
const LIST = 'scripts/entangled.json';
const r = spawnSync(
  'node_modules/.bin/oxlint',
  ['--type-aware', '--format', 'json', ...process.argv.slice(2).filter((a) => a !== '--write')],
  {
    encoding: 'utf8',
    maxBuffer: 1e9,
  },
);
let found;
try {
  found = JSON.parse(r.stdout).diagnostics;
} catch {
  console.error(r.stdout + r.stderr);
  process.exit(1);
}
const place = (d) => `${d.filename}:${d.labels[0]?.span.line ?? 1}:${d.labels[0]?.span.column ?? 1}`;
const wrong = [];
const entangled = new Map();
for (const d of found) {
  const ways = d.code === 'eslint(complexity)' ? /complexity of (\d+)/.exec(d.message) : null;
  if (!ways) wrong.push(`${place(d)} ${d.code}: ${d.message}${d.help ? ` (${d.help})` : ''}`);
  else {
    // by name and not by file: files are moved
    const name = /`([^`]+)`/.exec(d.message)?.[1] ?? `in ${d.filename.split('/').at(-1)}`;
    entangled.set(name, { n: Math.max(Number(ways[1]), entangled.get(name)?.n ?? 0), at: place(d) });
  }
}
if (process.argv.includes('--write')) {
  const list = [...entangled].sort(([a], [b]) => (a < b ? -1 : 1)).map(([name, { n }]) => [name, n]);
  writeFileSync(LIST, `${JSON.stringify(Object.fromEntries(list), null, 2)}\n`);
}
const allowed = JSON.parse(readFileSync(LIST, 'utf8'));
for (const [name, { n, at }] of entangled)
  if (n > (allowed[name] ?? LIMIT))
    wrong.push(`${at} ${name} has ${n} ways through it, more than ${allowed[name] ?? LIMIT}: part it`);
for (const [name, n] of Object.entries(allowed)) {
  const now = entangled.get(name)?.n ?? 0;
  if (now < n)
    wrong.push(
      `${LIST}: ${name} has ${now > LIMIT ? `only ${now}` : `${LIMIT} or fewer`} ways now, not ${n}: run npm run lint:code -- --write`,
    );
}
if (wrong.length > 0) console.error(wrong.join('\n'));
process.exit(wrong.length > 0 ? 1 : 0);
