/**
 * How core answers about anything a person typed: a value, or a problem in words. Core throws only for programmer
 * errors; a problem is data, so that it survives workers and storage and can be shown where the text was typed.
 */
export interface Problem {
  /** The field the problem belongs to, as the caller named it. */
  readonly field: string;
  /** What is wrong, one plain sentence. */
  readonly message: string;
  /** What would be right: an example, or the corrected text itself. */
  readonly right?: string;
}

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const bad = (field: string, message: string, right?: string): { ok: false; problem: Problem } => ({
  ok: false,
  problem: right === undefined ? { field, message } : { field, message, right },
});
