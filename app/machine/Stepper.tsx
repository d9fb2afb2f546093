import clsx from 'clsx';

/** The motions of a pass in a row, the present one filled. Narrow, words become numbers. */
export function Stepper({
  steps,
  at,
  onAt,
  label = 'Motions of this pass',
}: {
  readonly steps: readonly string[];
  readonly at: number;
  readonly label?: string;
  readonly onAt?: ((n: number) => void) | undefined;
}) {
  return (
    <ol className="flex border-2 border-edge bg-panel" aria-label={label}>
      {steps.map((word, i) => {
        const cls = clsx(
          'flex min-h-12 w-full items-center justify-center gap-1.5 px-1 text-lg font-semibold',
          i === at ? 'bg-ink text-onink' : 'text-ink2',
        );
        const text = (
          <>
            {i + 1} <span className="max-sm:sr-only">{word}</span>
          </>
        );
        return (
          <li
            key={word}
            className={clsx('grow basis-0', i > 0 && 'border-l border-edge')}
            aria-current={i === at ? 'step' : undefined}
          >
            {onAt ? (
              <button type="button" className={cls} onClick={() => onAt(i)}>
                {text}
              </button>
            ) : (
              <span className={cls}>{text}</span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
