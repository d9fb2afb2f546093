import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { anyOf, changed, changesOf } from '../app/testing/arbitrary.ts';
import { GOOD_REQUESTS } from '../app/testing/goodRequests.ts';
import { oddLeaf } from '../app/testing/leaves.ts';
import { problemText } from '../words/problems.ts';
import { OPS } from './index.ts';

/** `npm run faults` asks for more. */
const RUNS = Number(process.env['FAULTS_OPS'] ?? 60);
const ajv = new Ajv({ allErrors: false, strict: false });

const noNumber = (leaf: unknown): boolean => typeof leaf === 'number' && !Number.isFinite(leaf);

describe('anything that an operation allows to be asked', () => {
  // a picture is read from a file, and whole documents are held to account by what is done to them (app/anyJob.test.ts)
  const OWN = ['profile', 'edit', 'job'];
  test.each(OPS.filter((o) => !OWN.includes(o.name)).map((o) => [o.name, o] as const))(
    '%s: is answered as it promises, or refused with a field, a reason and what would be right',
    (_, o) => {
      const [asks, answers] = [ajv.compile(o.request), ajv.compile(o.reply)];
      // anything at all is mostly refused: as many are good ones in which something was changed
      const requests = fc.oneof(
        anyOf(o.request),
        changesOf(o.request, 2).map((changes) => changed(structuredClone(GOOD_REQUESTS[o.name]), changes).doc),
      );
      let answered = 0;
      fc.assert(
        fc.property(requests, (q) => {
          // what was made must be allowed, or the test is of nothing
          if (!asks(q)) throw new Error(`not a request: ${JSON.stringify(asks.errors)} ${JSON.stringify(q)}`);
          const said = o.run(q);
          if (!said.ok) {
            expect(said.problem.field).not.toBe('');
            const text = problemText(said.problem, 'mm');
            expect(text.message).not.toMatch(/NaN|undefined|\[object/);
            expect(text.right).not.toMatch(/NaN|undefined|\[object/);
            return;
          }
          answered += 1;
          const odd = oddLeaf(said.value, noNumber, 'reply');
          if (odd !== null) throw new Error(`${odd} is no number, asked ${JSON.stringify(q)}`);
          // as it goes out: what is undefined is left out
          if (!answers(JSON.parse(JSON.stringify(said.value))))
            throw new Error(`${JSON.stringify(answers.errors)}, asked ${JSON.stringify(q)}`);
        }),
        // who names a thread weighs all of them each time
        { numRuns: o.name === 'identify' ? RUNS / 10 : RUNS, ...('FAULTS_OPS' in process.env ? {} : { seed: 7 }) },
      );
      expect(answered).toBeGreaterThan(0);
    },
  );
});
