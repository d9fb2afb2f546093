import type { TSchema } from '@sinclair/typebox';
import fc from 'fast-check';

/** Texts that a person might have typed where any text may stand. */
const TYPED = ['', 'x', '3/4 in', '12.7', '1 1/4-7', '29.86 mm', 'M10', 'by the gate, upper end', '\u00e9\u00a0\u2013'];
/** What the patterns of the documents ask for, by a word that only that pattern has in it. */
const PATTERNS: readonly (readonly [part: string, examples: readonly string[]])[] = [
  ['T\\d', ['2026-11-09T09:00:00.000Z', '2024-02-29T23:59:59Z']],
  ['/', ['1', '3/2', '127/40', '254/70', '1/3']],
];

/**
 * Anything that a description of a document allows, most of it near what is usual: numbers are round as often as not, and
 * their limits are among them. @throws where the description says something that is not known here
 */
export function anyOf(schema: TSchema): fc.Arbitrary<unknown> {
  if (Array.isArray(schema['enum'])) return fc.constantFrom(...(schema['enum'] as unknown[]));
  if ('const' in schema) return fc.constant(schema['const']);
  const union = (schema['anyOf'] ?? schema['oneOf']) as TSchema[] | undefined;
  if (union) return fc.oneof(...union.map(anyOf));
  switch (schema['type'] as string) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return fc.integer({ min: Math.ceil(lowOf(schema, 1)), max: Math.floor(Math.min(highOf(schema, 1), 1e6)) });
    case 'number':
      return anyNumber(lowOf(schema, 1e-6), highOf(schema, 1e-6));
    case 'string':
      return anyText(schema);
    case 'array':
      if (Array.isArray(schema['items'])) return fc.tuple(...(schema['items'] as TSchema[]).map(anyOf));
      return fc.array(anyOf(schema['items'] as TSchema), {
        minLength: Number(schema['minItems'] ?? 0),
        maxLength: Math.min(3, Number(schema['maxItems'] ?? 3)),
      });
    case 'object':
      return anyObject(schema);
    default:
      throw new Error(`no values are known for ${JSON.stringify(schema).slice(0, 200)}`);
  }
}

const lowOf = (s: TSchema, step: number): number =>
  Number(s['minimum'] ?? ('exclusiveMinimum' in s ? Number(s['exclusiveMinimum']) + step : -1e6));
const highOf = (s: TSchema, step: number): number =>
  Number(s['maximum'] ?? ('exclusiveMaximum' in s ? Number(s['exclusiveMaximum']) - step : 1e6));

/** As fine as anybody writes a number: what is smaller than this is not typed, and no instrument gives it. */
const FINEST = 1e-6;
const written = (x: number, min: number, max: number): number =>
  Math.min(max, Math.max(min, Number((Math.round(x / FINEST) * FINEST).toFixed(6))));
const anyNumber = (min: number, max: number): fc.Arbitrary<number> =>
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .double({ min: Math.max(min, -60), max: Math.min(max, 60), noNaN: true })
        .map((x) => written(x, min, max)),
    },
    {
      weight: 6,
      arbitrary: fc
        .integer({ min: Math.ceil(Math.max(min, -40) * 20), max: Math.floor(Math.min(max, 40) * 20) })
        .map((n) => n / 20),
    },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
  );

function anyText(schema: TSchema): fc.Arbitrary<string> {
  const pattern = schema['pattern'] as string | undefined;
  if (pattern !== undefined) {
    const known = PATTERNS.find(([part]) => pattern.includes(part));
    if (!known) throw new Error(`no texts are known for the pattern ${pattern}`);
    return fc.constantFrom(...known[1]);
  }
  const [least, most] = [Number(schema['minLength'] ?? 0), Number(schema['maxLength'] ?? 4000)];
  return fc.constantFrom(...TYPED.filter((t) => t.length >= least && t.length <= most));
}

function anyObject(schema: TSchema): fc.Arbitrary<unknown> {
  const record = schema['patternProperties'] as Record<string, TSchema> | undefined;
  const [of] = Object.values(record ?? {});
  if (of) return fc.dictionary(fc.constantFrom('a', 'b', 'Thread'), anyOf(of), { maxKeys: 2 });
  const fields = Object.entries((schema['properties'] ?? {}) as Record<string, TSchema>);
  const required = new Set((schema['required'] as string[] | undefined) ?? []);
  return fc.record(Object.fromEntries(fields.map(([k, s]) => [k, anyOf(s)])), {
    requiredKeys: fields.map(([k]) => k).filter((k) => required.has(k)),
  });
}

/** Every place of a description, as the way to it and what may stand there; not inside of lists. */
function placesOf(schema: TSchema, way: readonly string[] = []): { way: readonly string[]; of: TSchema }[] {
  const fields = Object.entries((schema['properties'] ?? {}) as Record<string, TSchema>);
  return fields.flatMap(([k, s]) => [{ way: [...way, k], of: s }, ...placesOf(s, [...way, k])]);
}

/** What is put where in a document. */
interface Change {
  readonly way: readonly (string | number)[];
  readonly value: unknown;
}
/**
 * Anything that a description allows, in one to so many of its places.
 * @param fixed fields of the whole that are left as they are
 */
export const changesOf = (schema: TSchema, most: number, fixed: readonly string[] = []): fc.Arbitrary<Change[]> => {
  const places = placesOf(schema).filter(
    ({ way: [k = ''], of }) => !fixed.includes(k) && !JSON.stringify(of).includes('$ref'),
  );
  return fc.array(fc.oneof(...places.map(({ way, of }) => anyOf(of).map((value) => ({ way, value })))), {
    minLength: 1,
    maxLength: most,
  });
};

/** A document after changes, with what was put where. */
export interface Changed {
  readonly doc: unknown;
  readonly told: string;
}
const isBox = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;
/** Puts changes into a document; one whose place is not there is left out. */
export function changed(doc: unknown, changes: readonly Change[]): Changed {
  for (const { way, value } of changes) {
    const holder = way.slice(0, -1).reduce<unknown>((o, k) => (isBox(o) ? o[k] : null), doc);
    const key = way.at(-1);
    if (isBox(holder) && key !== undefined) holder[key] = value;
  }
  return { doc, told: changes.map((c) => `${c.way.join('.')} = ${JSON.stringify(c.value)}`).join('; ') };
}
