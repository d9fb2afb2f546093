// `npm test` after the bootstrap: types, lint, dependency rules, what nothing uses, unit tests, then the real interface in Chromium.
// Every step runs even when an earlier one failed, so that one run tells all that is wrong. What looks at the text alone runs
// beside one another, each on a processor of its own; the tests run by themselves, on all of them.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';

const begun = Date.now();
rmSync('out', { recursive: true, force: true });
const failed = [];
const times = [];

/** One step. @param beside what it says is kept until it is done, so that two of them do not talk at once */
const step = (name, beside) =>
  new Promise((done) => {
    const started = Date.now();
    if (!beside) console.log(`\n== ${name}`);
    const child = spawn('npm', ['run', '--silent', name], {
      stdio: ['ignore', beside ? 'pipe' : 'inherit', beside ? 'pipe' : 'inherit'],
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (d) => (said += d));
    child.on('close', (status) => {
      if (beside) console.log(`\n== ${name}\n${said.trimEnd()}`);
      console.log(`== ${name}: ${status === 0 ? 'ok' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(0)} s`);
      times.push([name, (Date.now() - started) / 1000]);
      if (status !== 0) failed.push(name);
      done();
    });
  });
const inTurn = async (names, beside = false) => {
  for (const name of names) await step(name, beside);
};

await Promise.all([inTurn(['typecheck', 'lint:code'], true), inTurn(['lint:layout', 'arch', 'unused'], true)]);
await inTurn(['unit', 'e2e']);
const whole = times.map(([name, s]) => `${name} ${s.toFixed(0)} s`).join(', ');
console.log(`\n== parts: ${whole}; in all ${((Date.now() - begun) / 60_000).toFixed(1)} min`);
if (failed.length > 0) console.error(`\nFailed: ${failed.join(', ')}`);
process.exit(failed.length > 0 ? 1 : 0);
