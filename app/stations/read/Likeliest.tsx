import { percentText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../job/jobContext.tsx';

const SHOWN = 3;

/** The likeliest threads while one reads, each with its share as a bar. */
export function Likeliest() {
  const { ranking, top } = useJobView();
  if (!ranking || !top) return null;
  const all = [
    ...ranking.candidates.map((c) => ({ name: c.thread.designation, share: c.probability })),
    { name: 'a special, in no table', share: ranking.special.probability },
  ]
    .toSorted((a, b) => b.share - a.share)
    .slice(0, SHOWN);
  return (
    <section aria-label="Likeliest now" className="grid gap-1.5 border-t border-line pt-3">
      <p aria-live="polite" className="sr-only">
        Likeliest so far: <strong className="num text-ink">{top.designation}</strong>,{' '}
        {percentText(Math.max(ranking.candidates[0]?.probability ?? 0, ranking.special.probability))}.
      </p>
      <ol className="grid gap-1.5">
        {all.map((c, i) => (
          <li key={c.name}>
            <span className={`num flex justify-between gap-2 text-[15px] ${i === 0 ? 'font-bold' : ''}`}>
              <span>{c.name}</span> <span className="shrink-0">{percentText(c.share)}</span>
            </span>
            <span className="block h-2 bg-line" aria-hidden>
              <span className="block h-full bg-blue" style={{ width: `${Math.round(c.share * 100)}%` }} />
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
