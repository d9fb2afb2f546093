import { leadAngleDeg } from '../form/helix.ts';
import { isSquare } from '../form/flanks.ts';
import { boreForShareMm } from '../fit/fit.ts';
import { formAt, type ThreadForm } from '../form/shape.ts';
import { externalDepthMm, rootFlatMm } from '../form/sizes.ts';
import { bestWireMm, grooveOf, overWiresMm, usableWireMm } from '../gauging/wires.ts';
import { wireSteps } from '../gauging/wireSteps.ts';
import type { Step } from '../quantity/working.ts';
import { familyOf, type StandardThread } from '../standards/catalogue.ts';
import { sizeSteps, type SizeName } from '../standards/sizeSteps.ts';
import { pitchMmOf, threadFormOf, threadOfRow, threadSizes, type ThreadSpec } from '../standards/thread.ts';

/** Shares of full thread that a bore is chosen for. Common practice, no source. */
export const BORE_SHARES = [1, 0.85, 0.75, 0.65] as const;

/** What the tables show of one row, mm and degrees. */
export interface RowFacts {
  readonly thread: ThreadSpec;
  readonly form: ThreadForm;
  readonly pitchMm: number;
  readonly sizes: ReturnType<typeof threadSizes>;
  readonly depthMm: number;
  readonly rootFlatMm: number;
  /** Lead angle at the root, where it is steepest. */
  readonly leadAngleDeg: number;
  /** Bores for the shares of BORE_SHARES, in that order. */
  readonly boresMm: readonly number[];
  /** Null for a square thread, which wires do not measure. */
  readonly wires: {
    readonly bestMm: number;
    readonly usableMm: { readonly min: number; readonly max: number };
    /** Over the best wires at the basic pitch diameter. */
    readonly overBestMm: number;
    readonly step: Step | undefined;
  } | null;
  readonly steps: Readonly<Record<SizeName, Step>>;
}

/**
 * Sizes of a row of the catalogue with their workings; each formula is where it is cited.
 * @example rowFacts(row('M10')).sizes.minorInternalMm // 8.376; ISO 724
 */
export function rowFacts(row: StandardThread): RowFacts {
  const thread = threadOfRow(row);
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const pitchMm = pitchMmOf(thread);
  const groove = isSquare(form) ? null : grooveOf(form, pitchMm, 1);
  const bestMm = groove && bestWireMm(groove);
  return {
    thread,
    form,
    pitchMm,
    sizes,
    depthMm: externalDepthMm(form),
    rootFlatMm: rootFlatMm(form, pitchMm),
    leadAngleDeg: leadAngleDeg(pitchMm, sizes.minorExternalMm),
    boresMm: BORE_SHARES.map((s) => boreForShareMm(thread, s)),
    wires:
      groove && bestMm !== null
        ? {
            bestMm,
            usableMm: usableWireMm(groove),
            overBestMm: overWiresMm(groove, sizes.pitchDiameterMm, bestMm, 'textbook'),
            step: wireSteps(groove, sizes.pitchDiameterMm, bestMm)[1],
          }
        : null,
    steps: sizeSteps(thread),
  };
}

/**
 * A row's form at a pitch of 1, to be laid over others, and its depth in pitches.
 * @example inPitches(row('M10')).depth // 0.6134; 17 H / 24
 */
export function inPitches(row: StandardThread): { readonly form: ThreadForm; readonly depth: number } {
  const id = familyOf(row.family).form;
  return { form: formAt(id, 1), depth: externalDepthMm(formAt(id, row.pitchMm)) / row.pitchMm };
}
