import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { demoJobs, demoShop } from '../demo/index.ts';
import { known } from '../app/testing/known.ts';
import { equalFlanks } from './form/flanks.ts';
import { formAt } from './form/shape.ts';
import { metalOf } from './job/metal.ts';
import type { Outcome } from './quantity/outcome.ts';
import { exact, textOf } from './quantity/rational.ts';
import { parseDesignation } from './standards/designation.ts';

// what stands behind @example in a docstring is run: the expression, then // and what it gives, as far as it is printed
const folder = new URL('./', import.meta.url);
const files = (readdirSync(folder, { recursive: true }) as string[]).filter(
  (f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.includes('generated'),
);

interface Example {
  readonly file: string;
  readonly expression: string;
  readonly expected: string;
}
const examples: readonly Example[] = files.flatMap((file) =>
  [...readFileSync(new URL(file, folder), 'utf8').matchAll(/@example (.+)/g)].map(([, said = '']) => {
    const [expression = '', expected = ''] = said.replace(/\s*\*\/$/, '').split(' // ');
    return { file, expression, expected };
  }),
);

function value<T>(o: Outcome<T>): T {
  if (!o.ok) throw new Error(o.problem.code);
  return o.value;
}
const jobs = demoJobs();
/** What an example may use besides what its own module exports. */
const SCOPE = {
  exact,
  textOf,
  formAt,
  equalFlanks,
  value,
  thread: (designation: string) => value(parseDesignation(designation)).thread,
  /** A job of the demo shop by its short name, its shop, and how its metal stands. */
  demo: (id: string) => known(jobs.find((j) => j.id === `demo-${id}`)),
  shop: demoShop(),
  metal: metalOf,
};

function run(code: string, scope: object): unknown {
  // eslint-disable-next-line @typescript-eslint/no-implied-eval
  const made = new Function(...Object.keys(scope), `return (${code});`) as (...values: unknown[]) => unknown;
  return made(...(Object.values(scope) as unknown[]));
}
/** Decimals that are printed: nothing is claimed beyond them. */
const decimals = (text: string): number =>
  Math.max(0, ...[...text.matchAll(/\d\.(\d+)/g)].map((m) => m[1]?.length ?? 0));
/** The same with every number as far as it is printed. */
const printed = (x: unknown, places: number): unknown => {
  if (typeof x === 'number') return Number.isFinite(x) ? Number(x.toFixed(places)) + 0 : x;
  if (Array.isArray(x)) return x.map((y) => printed(y, places));
  if (typeof x === 'object' && x !== null)
    return Object.fromEntries(Object.entries(x).map(([k, v]) => [k, printed(v, places)]));
  return x;
};

test.each(examples)('$file: $expression', async ({ file, expression, expected }) => {
  expect(expected).not.toBe('');
  const module = (await import(new URL(file, folder).href)) as object;
  // what follows the value is said to the reader
  const claimed = run(expected.replace(/; .*$/, ''), {});
  const places = decimals(expected.replace(/; .*$/, ''));
  expect(printed(run(expression, { ...SCOPE, ...module }), places)).toEqual(printed(claimed, places));
});

test('everything that a room of core gives to others says what it is', () => {
  const silent = files.flatMap((file) =>
    [
      ...readFileSync(new URL(file, folder), 'utf8').matchAll(
        /(\*\/\n)?^export (?:abstract )?(?:async )?(?:function|const|interface|type|class) (\w+)/gm,
      ),
    ]
      .filter(([, doc]) => doc === undefined)
      .map(([, , name]) => `${file}: ${name}`),
  );
  expect(silent).toEqual([]);
});
