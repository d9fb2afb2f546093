import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { EXAMPLE_SCOPE } from '../app/testing/exampleScope.ts';

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
  expect(printed(run(expression, { ...EXAMPLE_SCOPE, ...module }), places)).toEqual(printed(claimed, places));
});

/** Every export of core with the docstring before it; an empty one where it has none. */
const exported = files.flatMap((file) =>
  [
    ...readFileSync(new URL(file, folder), 'utf8').matchAll(
      /(\/\*\*(?:(?!\*\/)[\s\S])*\*\/\n)?^export (?:abstract )?(?:async )?(function|const|interface|type|class) (\w+)([^\n]*)/gm,
    ),
  ].map(([, doc = '', kind, name, rest = '']) => ({
    name: `${file}: ${name}`,
    doc,
    isFunction:
      kind === 'function' ||
      (kind === 'const' && /^(?:: [^=]+)? = (?:async )?(?:<.*>)?\(.*(?:=>|\($)|^ = \($/.test(rest)),
  })),
);

test('everything that a room of core gives to others says what it is', () => {
  expect(exported.length).toBeGreaterThan(1000);
  expect(exported.filter((e) => e.doc === '').map((e) => e.name)).toEqual([]);
});

test('every function that a room of core gives to others has an example', () => {
  const functions = exported.filter((e) => e.isFunction);
  expect(functions.length).toBeGreaterThan(600);
  expect(functions.filter((e) => !e.doc.includes('@example')).map((e) => e.name)).toEqual([]);
});
