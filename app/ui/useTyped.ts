import { useState } from 'react';
import { isProblem, type Outcome, type Problem } from '../../core/quantity/outcome.ts';
import { useDraft } from './drafts.ts';

/** How a field that is typed in is read, asked about, and taken. */
export interface TypedQuestion<T> {
  readonly label: string;
  /** Text shown when the field is not being typed in. */
  readonly shown: string;
  readonly parse: (text: string) => Outcome<T>;
  /** Takes the value; a problem that it answers is said here, and what was typed stays. */
  readonly onCommit: (value: T, text: string) => unknown;
  /** Called when the field is emptied; without it an empty field goes back to what it was. */
  readonly onClear?: (() => unknown) | undefined;
  /** What is asked about before it is taken; Enter once more takes it all the same. */
  readonly asks?: ((value: T) => Problem | null) | undefined;
  /** A reading that an instrument sends lands here. */
  readonly armed?: boolean;
}
export interface Typed {
  /** What is being typed; null: nothing. */
  readonly draft: string | null;
  readonly problem: Problem | null;
  readonly type: (text: string) => void;
  /** Lets it be as it was. */
  readonly leave: () => void;
  /** Takes what stands. @param entered by Enter, or by a key that takes it; else the field was left */
  readonly commit: (entered: boolean) => void;
}

/** What is typed in one field, until it means something. */
export function useTyped<T>({ label, shown, parse, onCommit, onClear, asks, armed = false }: TypedQuestion<T>): Typed {
  const [draft, setDraft] = useDraft(label);
  // a draft that was kept says at once what is wrong with it
  const [problem, setProblem] = useState<Problem | null>(() => {
    const read = draft === null || draft.trim() === '' ? null : parse(draft);
    return read && !read.ok ? read.problem : null;
  });
  // asked about once: the same text, entered again, is meant
  const [asked, setAsked] = useState<string | null>(null);
  const leave = (): void => {
    setDraft(null);
    setProblem(null);
  };
  const refusal = (text: string, entered: boolean): Problem | null => {
    const outcome = parse(text);
    if (!outcome.ok) return outcome.problem;
    const question = entered && asked === text ? null : (asks?.(outcome.value) ?? null);
    if (question) {
      // leaving the field does not insist
      setAsked(entered ? text : null);
      return question;
    }
    const answer = onCommit(outcome.value, text);
    return isProblem(answer) ? answer : null;
  };
  const commit = (entered: boolean): void => {
    const empty = (draft ?? '').trim() === '';
    if (empty && entered && armed && shown === '') {
      setProblem({ code: 'nothing-typed', field: label, figures: {} });
      return;
    }
    if (draft === null) return;
    if (empty && onClear) onClear();
    const refused = empty || draft === shown ? null : refusal(draft, entered);
    if (refused === null) leave();
    else setProblem(refused);
  };
  return { draft, problem, type: setDraft, leave, commit };
}
