import type { ReactNode } from 'react';

/** A place in the pitch, of a pitch, + towards the headstock; moved along by hand or by the arrow keys, the headstock at the left as in the picture. */
export function EyeSlider({
  label,
  at,
  step,
  said,
  onAt,
}: {
  readonly label: ReactNode;
  readonly at: number;
  readonly step: number;
  /** What it says, for those who do not see it. */
  readonly said: string;
  readonly onAt: (at: number) => void;
}) {
  return (
    <label className="grid gap-1">
      <span>{label}</span>
      <input
        type="range"
        min={-0.5}
        max={0.5}
        step={step}
        value={-at}
        className="h-12 w-full accent-[var(--blue)]"
        aria-valuetext={said}
        onChange={(e) => onAt(-Number(e.target.value))}
      />
    </label>
  );
}
