import { useAppSelector } from '../store/store.ts';
import { Note } from './controls.tsx';
import { ProblemText } from './ProblemText.tsx';

/** Why the last act changed nothing. */
export function Refusal() {
  const refused = useAppSelector((s) => s.work.refused);
  if (!refused) return null;
  return (
    <div className="mb-4">
      <Note tone="wrong">
        <ProblemText problem={refused} /> Nothing has changed.
      </Note>
    </div>
  );
}
