import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import { problemText } from '../words/problems.ts';
import type { Op } from '../ops/op.ts';

const ajv = new Ajv({ allErrors: false, strict: false, discriminator: true });

/** A request is a job with its shop at most. */
export const MOST_LINE = 16_000_000;

export type Answer = { readonly ok: boolean; readonly reply: unknown };

/** Makes the function that answers one line for an operation: JSON text in, reply or problem out. Never throws for bad input. */
export function answerer(o: Op): (line: string) => Answer {
  const read = reader(o);
  return (line) => {
    const asked = read(line);
    if ('ok' in asked) return asked;
    try {
      return answered(o.run(asked.request));
    } catch (e) {
      return broken(e);
    }
  };
}

/** The same for an operation that reads a file first. */
export function laterAnswerer(o: Op): (line: string) => Promise<Answer> {
  const read = reader(o);
  return async (line) => {
    const asked = read(line);
    if ('ok' in asked) return asked;
    try {
      return answered(await (o.later ? o.later(asked.request) : o.run(asked.request)));
    } catch (e) {
      return broken(e);
    }
  };
}

const refuse = (field: string, message: string, right?: string): Answer => ({
  ok: false,
  reply: { problem: right === undefined ? { field, message } : { field, message, right } },
});
// our own mistake is an answer too: the lines after it go on
const broken = (e: unknown): Answer =>
  refuse('request', `could not be computed: ${e instanceof Error ? e.message : 'unknown'}`);

/** Reads and checks one line; what is wrong with it is an answer already. */
function reader(o: Op): (line: string) => Answer | { readonly request: unknown } {
  const validate: ValidateFunction = ajv.compile(JSON.parse(JSON.stringify(o.request)) as object);
  return (line) => {
    if (line.length > MOST_LINE) return refuse('line', `longer than ${MOST_LINE} characters`, 'one request a line');
    let request: unknown;
    try {
      request = JSON.parse(line);
    } catch (e) {
      return refuse('line', `not JSON: ${e instanceof Error ? e.message : 'unreadable'}`);
    }
    return validate(request) ? { request } : refuse(...schemaProblem(validate.errors?.[0], o.name));
  };
}

function answered(outcome: ReturnType<Op['run']>): Answer {
  if (outcome.ok) {
    const place = notFinite(outcome.value);
    return place === null
      ? { ok: true, reply: outcome.value }
      : refuse(place, 'no number follows from this request: it is beyond what can be computed');
  }
  const { message, right } = problemText(outcome.problem, 'mm');
  return refuse(outcome.problem.field, message, right ?? undefined);
}

/** Where a reply holds a number that is none; null: nowhere. JSON would turn it into null, which means "not known". */
function notFinite(x: unknown, path = 'reply'): string | null {
  if (typeof x === 'number') return Number.isFinite(x) ? null : path;
  if (typeof x !== 'object' || x === null) return null;
  for (const [key, value] of Object.entries(x)) {
    const found = notFinite(value, `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}

function schemaProblem(e: ErrorObject | undefined, name: string): [string, string, string] {
  const params = (e?.params ?? {}) as Record<string, unknown>;
  const own = params['missingProperty'] ?? params['additionalProperty'];
  const path = (e?.instancePath ?? '').slice(1).replaceAll('/', '.');
  const field = typeof own === 'string' ? (path ? `${path}.${own}` : own) : path || 'request';
  const allowed = params['allowedValues'];
  const message = `${e?.message ?? 'is wrong'}${Array.isArray(allowed) ? `: ${allowed.join(', ')}` : ''}`;
  return [field, message, `see: npm run calc -- ${name} --schema`];
}

export const help = (ops: readonly Op[]): string =>
  [
    'usage: npm run --silent calc -- OP < requests.jsonl > replies.jsonl',
    '       npm run --silent calc -- OP --schema',
    '',
    'One JSON request a line, one reply a line, in the same order. Lengths mm, angles degrees, exact values as text ("127/40").',
    'A wrong request is answered {"problem":{"field","message"}} on its own line; the exit status is then 1.',
    '',
    ...ops.map((o) => `  ${o.name.padEnd(10)} ${o.about}`),
    '',
  ].join('\n');
