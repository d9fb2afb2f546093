// `npm run faults`: everything that can happen to the record, many times over; its figures are printed and kept in
// docs/reliability.md.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';

const run = (cmd, args, env) =>
  spawnSync(cmd, args, { env: { ...process.env, ...env }, encoding: 'utf8', maxBuffer: 1e9, shell: false });
const figures = [];
let failed = false;
const step = (name, cmd, args, env) => {
  console.log(`> ${name}`);
  const from = Date.now();
  const r = run(cmd, args, env);
  const out = `${r.stdout}${r.stderr}`;
  for (const m of out.matchAll(/^FIGURE (.+?): (.+)$/gm)) figures.push([m[1], m[2]]);
  failed ||= r.status !== 0;
  if (r.status !== 0) console.log(out.slice(-6000));
  return { seconds: Math.round((Date.now() - from) / 1000), ok: r.status === 0 };
};
const imports = 20_000;
step('in the browser', 'npx', ['playwright', 'test', 'faults', '--workers=1'], { FAULTS: 'many' });
const jest = step(
  `${imports} harmed files`,
  'node',
  ['--experimental-vm-modules', 'node_modules/jest/bin/jest.js', 'core/formats/mutated'],
  { FAULTS_IMPORTS: String(imports) },
);
figures.push([
  `${imports} harmed backups`,
  `${jest.ok ? 'none threw, none that was taken in broke an answer' : 'FAILED'}; ${jest.seconds} s`,
]);
const documents = 3000;
const any = step(
  `${documents} jobs, shops and runs of edits`,
  'node',
  ['--experimental-vm-modules', 'node_modules/jest/bin/jest.js', 'app/anyJob', 'ops/anyRequest'],
  { FAULTS_JOBS: String(documents), FAULTS_OPS: String(documents), FAULTS_LIMIT_MS: '3600000' },
);
figures.push([
  `${documents} jobs and shops with anything that may stand in them, as many runs of edits and requests to each operation`,
  `${any.ok ? 'every one told whole by every station and sheet, or refused with its field' : 'FAILED'}; ${any.seconds} s`,
]);
const lines = figures.map(([name, value]) => `| ${name} | ${value} |`).join('\n');
const text = `| what | figure |\n|---|---|\n${lines}\n\n${new Date().toISOString().slice(0, 10)}, ${cpus().length} processors, Node ${process.versions.node}.`;
console.log(text);
const file = 'docs/reliability.md';
const doc = readFileSync(file, 'utf8');
writeFileSync(
  file,
  doc.replace(/(<!-- figures -->\n)[\s\S]*(<!-- end -->)/, (_, a, b) => `${a}\n${text}\n\n${b}`),
);
process.exit(failed ? 1 : 0);
