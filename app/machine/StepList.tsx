import clsx from 'clsx';

/** Acts in order: the present one large, those after it small; touched, another becomes the present one. */
export function StepList({
  steps,
  at,
  onAt,
  near = Infinity,
}: {
  readonly steps: readonly string[];
  readonly at: number;
  readonly onAt: (n: number) => void;
  /** How many before and after the present one are shown; all when it is left out. */
  readonly near?: number;
}) {
  return (
    <ol className="border-2 border-edge bg-panel" aria-label="One after another">
      {steps.map((s, i) => (
        <li
          key={s}
          hidden={Math.abs(i - at) > near}
          aria-current={i === at ? 'step' : undefined}
          className={clsx(i > 0 && 'border-t border-line')}
        >
          <button
            type="button"
            onClick={() => onAt(i)}
            className={clsx(
              'flex min-h-12 w-full items-start gap-3 px-3 py-1.5 text-left',
              i === at ? 'bg-ink text-[1.75rem] font-bold leading-tight text-onink' : 'text-[1.06rem] leading-snug',
            )}
          >
            <span className="num grid size-9 shrink-0 place-items-center rounded-full border-2 border-current text-lg font-bold">
              {i + 1}
            </span>
            <span className="min-w-0 self-center">{s}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
