import type { Problem } from '../../core/quantity/outcome.ts';
import { problemLine } from '../../words/problems.ts';
import { useSystem } from '../store/store.ts';

/** The one way in which a problem is shown: what is wrong, and what would be right, in the unit at hand. */
export function ProblemText({ problem }: { readonly problem: Problem }) {
  return <>{problemLine(problem, useSystem())}</>;
}
