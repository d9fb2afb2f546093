import { FINE, lengthText, percentText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { pitchOf, threadFormOf } from '../../../core/standards/thread.ts';
import type { CandidateView } from '../../../core/job/candidates.ts';
import { reasonText, timesText } from '../../../words/reasons.ts';
import { acceptName } from '../../job/settle.ts';
import { useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

interface Props {
  readonly c: CandidateView;
  readonly first: boolean;
  /** It differs from the first in its starts alone. */
  readonly onlyStarts: boolean;
  readonly accepted: boolean;
  /** The readings are being weighed again: nothing is accepted by what they were. */
  readonly weighing: boolean;
}

/** One name: how likely, what decides against it, and, opened, what each reading says. */
export function CandidateRow({ c, first, onlyStarts, accepted, weighing }: Props) {
  const system = useSystem();
  const { thread } = c;
  return (
    <li
      className={`grid gap-1 border-t border-line py-2 ${accepted ? 'border-l-6 border-l-go pl-2' : ''}`}
      data-candidate={thread.designation}
    >
      <div className="flex items-baseline justify-between gap-2">
        <span className="num text-lg font-semibold">{thread.designation}</span>
        <span className="num shrink-0 text-lg font-semibold">{percentText(c.probability)}</span>
      </div>
      <div aria-hidden className="h-2 bg-line">
        <div className="h-2 bg-blue" style={{ width: `${Math.max(0.5, c.probability * 100)}%` }} />
      </div>
      <p className="text-sm text-ink2">
        {c.special
          ? 'In no table: the sizes to copy are those read.'
          : first
            ? `${threadFormOf(thread).name}, ${lengthText(thread.majorMm, system, FINE)}, ${pitchText(pitchOf(thread), system)}${c.or === null ? '' : `; or ${c.or}: crest and root tell them apart`}`
            : c.behind
              ? `Behind by ${timesText(c.behind.times)}: ${reasonText(c.behind.reason, system)}.`
              : onlyStarts
                ? 'The same section: the starts, counted at the end of the thread, decide.'
                : 'Nothing read tells it from the first: only how common it is.'}
      </p>
      <div className="flex items-start justify-between gap-2">
        <details className="min-w-0 text-sm">
          <summary className="flex min-h-12 cursor-pointer items-center text-blue underline underline-offset-4">
            What speaks
          </summary>
          <ul className="grid gap-1">
            {c.why.for.map((r) => (
              <li key={reasonText(r, system)}>
                <span className="font-semibold text-go">for</span> {reasonText(r, system)}
              </li>
            ))}
            {c.why.against.map((r) => (
              <li key={reasonText(r, system)}>
                <span className="font-semibold text-stop">against, {timesText(r.times)}</span> {reasonText(r, system)}
              </li>
            ))}
          </ul>
        </details>
        {accepted ? (
          <span className="flex min-h-12 items-center font-semibold text-go">accepted</span>
        ) : (
          <Button
            data-row
            disabled={weighing}
            aria-label={c.special ? 'Accept as special' : `Accept ${thread.designation}`}
            tone={first && !weighing ? 'main' : 'plain'}
            className="shrink-0"
            onClick={() => acceptName(thread, c.probability, !first && !c.special, '')}
          >
            {c.special ? 'Accept as special' : 'Accept'}
          </Button>
        )}
      </div>
    </li>
  );
}
