import type { PlainCode, ProblemCode, ProblemFigures } from './problems.ts';

/**
 * How core answers about anything a person typed: a value, or a problem as data. Core throws only for programmer errors; a
 * problem is a code with its figures in SI, so that it survives workers and storage and is said in the unit at hand.
 */
export interface Problem {
  /** The field the problem belongs to, as the caller named it. */
  readonly field: string;
  readonly code: ProblemCode;
  readonly figures: Readonly<Record<string, string | number | boolean>>;
  /** The problem that this one passes on. */
  readonly cause?: Problem;
}

export type Outcome<T> = { readonly ok: true; readonly value: T } | Refused;
export interface Refused {
  readonly ok: false;
  readonly problem: Problem;
}

export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

/** A problem with its figures; a code without any needs none. */
export function problem<C extends PlainCode>(field: string, code: C): Problem;
export function problem<C extends ProblemCode>(
  field: string,
  code: C,
  figures: ProblemFigures[C],
  cause?: Problem,
): Problem;
export function problem(field: string, code: ProblemCode, figures: Problem['figures'] = {}, cause?: Problem): Problem {
  return cause ? { field, code, figures, cause } : { field, code, figures };
}

export function bad<C extends PlainCode>(field: string, code: C): Refused;
export function bad<C extends ProblemCode>(
  field: string,
  code: C,
  figures: ProblemFigures[C],
  cause?: Problem,
): Refused;
export function bad(field: string, code: ProblemCode, figures: Problem['figures'] = {}, cause?: Problem): Refused {
  return { ok: false, problem: cause ? { field, code, figures, cause } : { field, code, figures } };
}
