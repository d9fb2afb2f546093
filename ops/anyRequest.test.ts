import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { anyOf } from '../app/testing/arbitrary.ts';
import { problemText } from '../words/problems.ts';
import { OPS } from './index.ts';

/** `npm run faults` asks for more. */
const RUNS = Number(process.env['FAULTS_OPS'] ?? 120);
const ajv = new Ajv({ allErrors: false, strict: false });

/** Where a number is none; null: nowhere. */
function noNumber(x: unknown, way: string): string | null {
  if (typeof x === 'number') return Number.isFinite(x) ? null : way;
  if (typeof x !== 'object' || x === null) return null;
  for (const [k, v] of Object.entries(x)) {
    const at = noNumber(v, `${way}.${k}`);
    if (at !== null) return at;
  }
  return null;
}

describe('anything that an operation allows to be asked', () => {
  // a picture is read from a file, and whole documents are held to account by what is done to them (app/anyJob.test.ts)
  const OWN = ['profile', 'edit', 'job'];
  test.each(OPS.filter((o) => !OWN.includes(o.name)).map((o) => [o.name, o] as const))(
    '%s: is answered as it promises, or refused with a field, a reason and what would be right',
    (_, o) => {
      const [asks, answers] = [ajv.compile(o.request), ajv.compile(o.reply)];
      let [answered, refused] = [0, 0];
      fc.assert(
        fc.property(anyOf(o.request), (q) => {
          // what was made must be allowed, or the test is of nothing
          if (!asks(q)) throw new Error(`not a request: ${JSON.stringify(asks.errors)} ${JSON.stringify(q)}`);
          const said = o.run(q);
          if (!said.ok) {
            refused += 1;
            expect(said.problem.field).not.toBe('');
            const text = problemText(said.problem, 'mm');
            expect(text.message).not.toMatch(/NaN|undefined|\[object/);
            expect(text.right).not.toMatch(/NaN|undefined|\[object/);
            return;
          }
          answered += 1;
          const odd = noNumber(said.value, 'reply');
          if (odd !== null) throw new Error(`${odd} is no number, asked ${JSON.stringify(q)}`);
          // as it goes out: what is undefined is left out
          if (!answers(JSON.parse(JSON.stringify(said.value))))
            throw new Error(`${JSON.stringify(answers.errors)}, asked ${JSON.stringify(q)}`);
        }),
        // who names a thread weighs all of them each time
        { numRuns: o.name === 'identify' ? RUNS / 10 : RUNS, ...('FAULTS_OPS' in process.env ? {} : { seed: 7 }) },
      );
      expect(answered + refused).toBeGreaterThan(0);
    },
  );
});
