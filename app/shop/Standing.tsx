import type { Choice, Coming } from '../../core/formats/merge.ts';
import { STANDING_TEXT, CHOICE_TEXT } from '../../words/bringIn.ts';

const CHOICES: readonly Choice[] = ['bring', 'both', 'leave'];

/** How one job stands to what is here, and what is done with it. */
export function Standing({
  coming,
  choice,
  onChoose,
}: {
  readonly coming: Coming;
  readonly choice: Choice;
  readonly onChoose: (c: Choice) => void;
}) {
  const { job, standing } = coming;
  return (
    <label className="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1">
      <span className="min-w-0 leading-tight">
        <strong className="block truncate">{job.title}</strong>
        <span className="text-sm text-ink2">{STANDING_TEXT[standing]}</span>
      </span>
      {standing !== 'new' && standing !== 'same' && (
        <select
          aria-label={`What is done with ${job.title}`}
          value={choice}
          onChange={(e) => onChoose(CHOICES.find((c) => c === e.target.value) ?? 'leave')}
          className="min-h-12 rounded-md border border-line bg-panel px-2"
        >
          {CHOICES.map((c) => (
            <option key={c} value={c}>
              {CHOICE_TEXT[c]}
            </option>
          ))}
        </select>
      )}
    </label>
  );
}
