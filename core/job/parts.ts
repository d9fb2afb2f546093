import { Type, type TSchema } from '@sinclair/typebox';

/**
 * The small pieces of which the documents' description is made.
 * @example object({}).additionalProperties // false
 */
export const object = <T extends Record<string, TSchema>>(properties: T) =>
  Type.Object(properties, { additionalProperties: false });
/**
 * One of several words.
 * @example oneOf('a', 'b').enum // ['a', 'b']
 */
export const oneOf = <T extends string>(...values: T[]) => Type.Unsafe<T>({ type: 'string', enum: values });
/**
 * Text of at most so many characters.
 * @example text(80).maxLength // 80
 */
export const text = (max = 4000) => Type.String({ maxLength: max });
/** Identifier that a job or a picture is kept under. */
export const id = Type.String({ minLength: 1, maxLength: 80 });
/** A moment, ISO 8601 in UTC. */
export const time = Type.String({ pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?Z$' });
/** An angle, degrees. */
export const angle = Type.Number({ minimum: 0, maximum: 80 });
/** Any number that is one. */
export const finite = Type.Number({ minimum: -1e6, maximum: 1e6 });
/** A number above zero. */
export const positive = Type.Number({ exclusiveMinimum: 0, maximum: 1e5 });

/** The end of the tool: a flat, or a round nose. */
export const TipSchema = Type.Union([
  object({ flatMm: Type.Number({ minimum: 0, maximum: 50 }) }),
  object({ radiusMm: Type.Number({ minimum: 0, maximum: 50 }) }),
]);
