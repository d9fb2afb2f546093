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

/** What was asked for, or a problem. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | Refused;
/** A problem as an answer. */
export interface Refused {
  readonly ok: false;
  readonly problem: Problem;
}

/**
 * Whether an answer is a problem, where anything else may come back.
 * @example isProblem(bad('slide', 'slide-0-to-60').problem) // true
 */
export const isProblem = (x: unknown): x is Problem =>
  typeof x === 'object' && x !== null && 'code' in x && 'field' in x;

/**
 * What was asked for, worked out.
 * @example good(7) // { ok: true, value: 7 }
 */
export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

/** What a code takes with it: its figures, unless it has none, and the problem that it passes on. */
type With<C extends ProblemCode> = C extends PlainCode
  ? [figures?: ProblemFigures[C], cause?: Problem]
  : [figures: ProblemFigures[C], cause?: Problem];

/**
 * A problem by its code, with the figures that its sentence needs, in the field where it was typed.
 * @example problem('slide', 'slide-0-to-60').code // 'slide-0-to-60'
 */
export const problem = <C extends ProblemCode>(field: string, code: C, ...[figures, cause]: With<C>): Problem => ({
  field,
  code,
  figures: figures ?? {},
  ...(cause ? { cause } : {}),
});

/**
 * The same as an answer.
 * @example bad('slide', 'slide-0-to-60').ok // false
 */
export const bad = <C extends ProblemCode>(field: string, code: C, ...more: With<C>): Refused => ({
  ok: false,
  problem: problem(field, code, ...more),
});
