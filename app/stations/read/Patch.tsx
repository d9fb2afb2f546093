import { BASE, type Side } from './ArmedPatch.tsx';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { type CSSProperties, memo } from 'react';
import { QUANTITY_NAMES, patchName } from '../../../words/readings.ts';
import clsx from 'clsx';

interface PatchProps {
  readonly quantity: Quantity;
  readonly side: Side;
  /** As read; null: not read yet. */
  readonly taken: string | null;
  /** What the thread believed would give; null: nothing. */
  readonly expected: string | null;
  readonly settled: boolean;
  readonly style: CSSProperties | undefined;
  readonly onArm: (q: Quantity) => void;
}

/** A dimension on the drawing: bright metal where it was read, dashed where it only follows. */
export const Patch = memo(function Patch({ quantity, side, taken, expected, settled, style, onArm }: PatchProps) {
  const known = taken !== null || (settled && expected !== null);
  return (
    <button
      type="button"
      data-patch={quantity}
      aria-label={`${QUANTITY_NAMES[quantity][side]}: ${taken ?? 'not read'}. Give a reading`}
      onClick={() => onArm(quantity)}
      style={style}
      className={clsx(
        BASE,
        'print-keep',
        taken !== null
          ? 'border-edge bg-panel text-ink'
          : known
            ? 'border-scribe2 bg-scribe2 text-strawink forced-colors:bg-[Canvas] forced-colors:text-[CanvasText]'
            : 'border-dashed border-scribe2 bg-deep text-scribe',
        style ? 'absolute' : 'relative',
      )}
    >
      {taken !== null && (
        <span aria-hidden className="absolute right-1.5 top-1.5 size-2 rounded-full border-2 border-ink" />
      )}
      <span className="block truncate text-[13px]">{patchName(quantity, side)}</span>
      <span className="num block truncate text-[17px] font-semibold">
        {taken ?? (expected === null ? '\u2013' : `${settled ? '' : '\u2248 '}${expected}`)}
      </span>
    </button>
  );
});
