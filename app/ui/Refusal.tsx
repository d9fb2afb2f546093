import { lazy, Suspense } from 'react';
import { useAppSelector } from '../store/store.ts';
import { Note } from './controls.tsx';

/** All the words of refusals come with the first one. */
const ProblemText = lazy(async () => ({ default: (await import('./ProblemText.tsx')).ProblemText }));

/** Why the last act changed nothing. */
export function Refusal() {
  const refused = useAppSelector((s) => s.work.refused);
  if (!refused) return null;
  return (
    <div className="mb-4">
      <Note tone="wrong">
        <Suspense>
          <ProblemText problem={refused} />
        </Suspense>{' '}
        Nothing has changed.
      </Note>
    </div>
  );
}
