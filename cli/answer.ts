import AjvModule, { type ErrorObject, type ValidateFunction } from 'ajv';
import { problemText } from '../words/problems.ts';
import { OPS, type Op } from '../ops/index.ts';

// Ajv is CommonJS: under Node's ES modules the class sits one level down
const Ajv = (AjvModule as unknown as { default?: typeof AjvModule }).default ?? AjvModule;
const ajv = new Ajv({ allErrors: false, strict: false, discriminator: true });

export const findOp = (name: string): Op | undefined => OPS.find((o) => o.name === name);

export type Answer = { readonly ok: boolean; readonly reply: unknown };

/** Makes the function that answers one line for an operation: JSON text in, reply or problem out. Never throws for bad input. */
export function answerer(o: Op): (line: string) => Answer {
  const validate: ValidateFunction = ajv.compile(JSON.parse(JSON.stringify(o.request)) as object);
  const refuse = (field: string, message: string, right?: string): Answer => ({
    ok: false,
    reply: { problem: right === undefined ? { field, message } : { field, message, right } },
  });
  return (line) => {
    let request: unknown;
    try {
      request = JSON.parse(line);
    } catch (e) {
      return refuse('line', `not JSON: ${e instanceof Error ? e.message : 'unreadable'}`);
    }
    if (!validate(request)) return refuse(...schemaProblem(validate.errors?.[0], o.name));
    const outcome = o.run(request);
    if (outcome.ok) return { ok: true, reply: outcome.value };
    const { message, right } = problemText(outcome.problem, 'mm');
    return refuse(outcome.problem.field, message, right ?? undefined);
  };
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

export const help = (): string =>
  [
    'usage: npm run --silent calc -- OP < requests.jsonl > replies.jsonl',
    '       npm run --silent calc -- OP --schema',
    '',
    'One JSON request a line, one reply a line, in the same order. Lengths mm, angles degrees, exact values as text ("127/40").',
    'A wrong request is answered {"problem":{"field","message"}} on its own line; the exit status is then 1.',
    '',
    ...OPS.map((o) => `  ${o.name.padEnd(10)} ${o.about}`),
    '',
  ].join('\n');
