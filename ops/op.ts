import { Type, type Static, type TSchema } from '@sinclair/typebox';
import type { Outcome } from '../core/quantity/outcome.ts';

/** One operation of the headless door: schemas of request and reply, and the pure function between them. */
export interface Op<Q extends TSchema = TSchema, R extends TSchema = TSchema> {
  readonly name: string;
  readonly about: string;
  readonly request: Q;
  readonly reply: R;
  run(request: Static<Q>): Outcome<Static<R>>;
  /** Where something is read first that takes its time, a file: `run` then only says so. */
  later?(request: Static<Q>): Promise<Outcome<Static<R>>>;
}

/** Ties the types of schema and function together, then forgets them so that ops can stand in one list. */
export const op = <Q extends TSchema, R extends TSchema>(o: Op<Q, R>): Op => o;

/** An object that refuses fields it does not know. */
export const strict = <T extends Record<string, TSchema>>(properties: T) =>
  Type.Object(properties, { additionalProperties: false });
export const oneOf = <T extends string>(...values: T[]) => Type.Unsafe<T>({ type: 'string', enum: values });
/** Null: not known. */
export const nullOr = <T extends TSchema>(schema: T) => Type.Union([Type.Null(), schema]);
/** Missing or null: not known. */
export const orNull = <T extends TSchema>(schema: T) => Type.Optional(nullOr(schema));

/** A figure as it is answered: to a millionth of its unit. */
export const micro = (x: number): number => Number(x.toFixed(6));
