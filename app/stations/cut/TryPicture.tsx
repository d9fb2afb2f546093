import type { TRY_NAMES } from '../../../words/try.ts';

type Result = Exclude<keyof typeof TRY_NAMES, 'note'>;
const RIDGES = 'M-2 46l6 -12h6l6 12h6l6 -12h6l6 12h6l6 -12h6l6 12h6l6 -12h6l6 12h6l6 -12h6l6 12h6l6 -12h6l6 12';
/** How far the mate has come on, and how it sits. */
const SITS: Readonly<Record<Result, { x: number; y: number }>> = {
  'no-start': { x: 96, y: -4 },
  starts: { x: 74, y: 0 },
  binds: { x: 46, y: 0 },
  tight: { x: 24, y: 0 },
  runs: { x: 24, y: 0 },
  shakes: { x: 24, y: -3 },
};
const MARK: Readonly<Record<Result, { d: string; stroke: string }>> = {
  'no-start': { d: 'M12 12l14 14M26 12l-14 14', stroke: 'var(--stopplate)' },
  starts: { d: 'M62 6v30', stroke: 'var(--stopplate)' },
  binds: { d: 'M36 6v30M30 6v30', stroke: 'var(--stopplate)' },
  tight: { d: 'M108 10c14 4 16 14 8 22m-7 -3l6 4l5 -6', stroke: 'var(--stopplate)' },
  runs: { d: 'M106 20l8 9l14 -18', stroke: 'var(--goplate)' },
  shakes: { d: 'M100 20h28m-22 -6l-6 6l6 6m16 -12l6 6l-6 6', stroke: 'var(--scribe)' },
};

/** What the mate did, drawn: thread below, the mate where it came to. */
export function TryPicture({ result }: { readonly result: Result }) {
  const { x, y } = SITS[result];
  return (
    <svg
      viewBox="0 0 132 72"
      preserveAspectRatio="xMidYMid slice"
      className="h-full w-[132px] shrink-0 bg-plate max-sm:w-20"
      aria-hidden
    >
      <path d={`${RIDGES}V80H-2Z`} fill="var(--plate2)" stroke="var(--scribe)" strokeWidth="1.6" />
      <g transform={`translate(${x} ${y})`}>
        <path
          d="M0 8H72V34h-5l-5 10h-5l-5 -10h-6l-5 10h-5l-5 -10h-6l-5 10h-5l-5 -10H0Z"
          fill="var(--deep)"
          stroke="var(--scribe)"
          strokeWidth="1.6"
        />
      </g>
      <path d={MARK[result].d} fill="none" stroke={MARK[result].stroke} strokeWidth="3.5" strokeLinecap="round" />
    </svg>
  );
}
