import type { Quantity } from '../../core/evidence/evidence.ts';
import { patchName } from '../../words/readings.ts';
import clsx from 'clsx';
import { type ThreadSpec, threadFormOf, pitchOf } from '../../core/standards/thread.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { expectedReadings } from '../../core/job/expected.ts';
import { lengthText, FINE, degreesText } from '../../core/quantity/format.ts';
import { pitchText } from '../../core/quantity/pitch.ts';

export const H = 214;

export const W = 640;

/** On a form the count of crests is its pitch. */
const NAMES: Partial<Record<Quantity, string>> = { crestCount: 'Pitch', flankAngle: 'Angle', depth: 'Depth' };

interface PlaceProps {
  readonly q: Quantity;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly side: 'external' | 'internal';
  readonly known: string | undefined;
  readonly taken: string | null;
  readonly tentative: boolean;
  readonly unread: string;
}

export function Place({ q, x, y, w, side, known, taken, tentative, unread }: PlaceProps) {
  const style = { left: `${(x / W) * 100}%`, top: `${(y / H) * 100}%`, '--w': `${(w / W) * 100}%` };
  const name = NAMES[q] ?? patchName(q, side);
  const given = taken !== null || (known !== undefined && !tentative);
  return (
    <div
      className={clsx(
        'block rounded-[3px] @lg:absolute @lg:w-(--w) border px-2 py-0.5 text-left leading-tight',
        given ? 'border-edge bg-panel text-ink' : 'border-dashed border-scribe2 bg-deep text-scribe',
      )}
      style={style}
    >
      <span className="block truncate text-[13px] opacity-90">{name}</span>
      <span className={`num block truncate font-semibold ${unread === '?' ? 'text-base' : 'text-sm leading-6'}`}>
        {taken ?? (known ? `${tentative ? '\u2248 ' : ''}${known}` : unread)}
      </span>
    </div>
  );
}

export function numbersOf(
  thread: ThreadSpec,
  side: 'external' | 'internal',
  system: UnitSystem,
): Partial<Record<Quantity, string>> {
  const form = threadFormOf(thread);
  const e = expectedReadings(thread, side);
  const len = (mm: number | undefined): string => (mm === undefined ? '' : lengthText(mm, system, FINE));
  return {
    majorDiameter: len(e.majorDiameter),
    minorDiameter: len(e.minorDiameter),
    crestCount: pitchText(pitchOf(thread), system),
    flankAngle:
      form.leadingDeg === form.trailingDeg
        ? degreesText(2 * form.leadingDeg)
        : `${form.leadingDeg}\u00b0 / ${form.trailingDeg}\u00b0`,
    depth: len(e.depth),
  };
}
