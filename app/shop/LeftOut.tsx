import type { Problem } from '../../core/quantity/outcome.ts';
import { Note } from '../ui/controls.tsx';
import { ProblemText } from '../ui/ProblemText.tsx';
import type { Imported } from '../../core/formats/documents.ts';

export function Wrong({ problems }: { readonly problems: readonly Problem[] }) {
  return (
    <Note tone="wrong">
      <p className="font-semibold">This file was not taken in; nothing has changed. What is wrong with it:</p>
      <ul className="list-disc pl-5">
        {problems.map((p) => (
          <li key={`${p.field} ${p.code} ${JSON.stringify(p.figures)}`}>
            <span className="num">{p.field}</span>: <ProblemText problem={p} />
          </li>
        ))}
      </ul>
    </Note>
  );
}

/** What of a file is not taken in, and why. */
export function LeftOut({ file }: { readonly file: Extract<Imported, { kind: 'backup' }> }) {
  if (file.left.length === 0 && file.shopLost.length === 0) return null;
  return (
    <div className="mt-2">
      {file.shopLost.length > 0 && (
        <p>
          Of the shop this does not hold and is left out: <span className="num">{file.shopLost.join(', ')}</span>
        </p>
      )}
      {file.left.length > 0 && (
        <>
          <p className="font-semibold">
            {file.left.length} {file.left.length === 1 ? 'job is' : 'jobs are'} not taken in:
          </p>
          <ul className="list-disc pl-5">
            {file.left.slice(0, 20).map((l, i) => (
              <li key={i}>
                {l.title || 'a job without a title'}:{' '}
                {l.problems.slice(0, 2).map((p) => (
                  <span key={`${p.field} ${p.code}`}>
                    <span className="num">{p.field}</span> <ProblemText problem={p} />{' '}
                  </span>
                ))}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
