import { problem, type Problem } from '../quantity/outcome.ts';

/** What was found where a document is kept: today's shape, one of a newer Gelvin, or one that does not hold. */
export type Checked<T> =
  | { readonly state: 'good'; readonly doc: T }
  | { readonly state: 'newer'; readonly version: string }
  | { readonly state: 'damaged'; readonly problems: readonly Problem[] };

/** What the validator says of one place in a document. */
export interface SchemaError {
  readonly instancePath: string;
  readonly keyword: string;
  readonly message?: string;
  readonly params: Record<string, unknown>;
}
const MOST_PROBLEMS = 20;

/**
 * What a validator found, each once, as problems.
 * @example problemsOf(null) // []
 */
export function problemsOf(errors: readonly SchemaError[] | null | undefined): Problem[] {
  const seen = new Set<string>();
  const out: Problem[] = [];
  for (const e of errors ?? []) {
    const extra = e.params['additionalProperty'] ?? e.params['missingProperty'];
    const field = `${e.instancePath.slice(1).replaceAll('/', '.') || 'document'}${typeof extra === 'string' && e.keyword === 'additionalProperties' ? `.${extra}` : ''}`;
    const allowed = e.params['allowedValues'];
    const message = `${e.message ?? 'is wrong'}${Array.isArray(allowed) ? `: ${allowed.join(', ')}` : ''}`;
    if (seen.has(`${field} ${message}`)) continue;
    seen.add(`${field} ${message}`);
    const limit = e.params['limit'];
    out.push(
      e.keyword === 'maxLength' && typeof limit === 'number'
        ? problem(field, 'text-too-long', { most: limit })
        : problem(field, 'not-in-document', { because: message }),
    );
  }
  return out.slice(0, MOST_PROBLEMS);
}

/** A validator made from a schema, with what it found wrong. */
export type Validator<T> = ((data: unknown) => data is T) & { errors?: SchemaError[] | null };

/**
 * A document of any version held against today’s schema, after it was brought up to date: whole, newer than this Gelvin, or what is wrong with it and where.
 * @example checkWith({ version: 99 }, 10, (x) => x, () => true, () => null).state // 'newer'
 */
export function checkWith<T>(
  raw: unknown,
  current: number,
  upgrade: (doc: unknown) => unknown,
  validate: Validator<T>,
  sense: (doc: T) => Problem | null,
): Checked<T> {
  const version = typeof raw === 'object' && raw !== null ? (raw as { version?: unknown }).version : undefined;
  if (typeof version === 'number' && version > current) return { state: 'newer', version: String(version) };
  let doc: unknown;
  try {
    doc = upgrade(raw);
  } catch (e) {
    // a step to a newer shape met what it could not read
    const because = e instanceof Error ? e.message : 'unreadable';
    return { state: 'damaged', problems: [problem('document', 'not-in-document', { because })] };
  }
  if (!validate(doc)) return { state: 'damaged', problems: problemsOf(validate.errors) };
  const wrong = sense(doc);
  return wrong ? { state: 'damaged', problems: [wrong] } : { state: 'good', doc };
}
