import { DEFAULT_SIGMA, type Part } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import { normalPdf } from './density.ts';
import { uncertainty, type ReadingKind } from './kind.ts';
import { BLUNDER_PER_MM, withBlunder } from './noise.ts';
import { depthSlip } from './slips.ts';
import { typedLength } from './typed.ts';

const depthOf = (h: Expectation, part: Part): number => (part === 'external' ? h.depthExternalMm : h.depthInternalMm);

/** A worn thread reads shallow by some hundredths of its pitch, and no blade reaches the bottom of every form. Common practice, no source. */
const SHALLOW = 0.04;
const SPREAD = 0.06;

/** Depth of thread. */
export const depth: ReadingKind<'depth'> = {
  measures: 'length',
  worn: true,
  onStarts: false,
  parse: typedLength,
  slip: depthSlip,
  evidence: (r) => ({ quantity: 'depth', valueMm: r.value, wear: r.wear, ...uncertainty('uncertaintyMm', r) }),
  nominal: depthOf,
  density: (e, h, part) => {
    const spread = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.depthMm, SPREAD * h.pitchMm);
    return withBlunder(normalPdf(e.valueMm - depthOf(h, part) + SHALLOW * h.pitchMm, spread), BLUNDER_PER_MM);
  },
  free: (_, pitchMm) => 1 / (0.8 * pitchMm),
  ideals: (e, h, part) => [{ ...e, valueMm: depthOf(h, part) - SHALLOW * h.pitchMm }],
  reason: (e, h, part) => ({ kind: 'size', of: 'depth', readMm: e.valueMm, expectedMm: depthOf(h, part) }),
  likely: (h, part, _, sigma) => ({
    mean: depthOf(h, part) - SHALLOW * h.pitchMm,
    sigma: Math.hypot(sigma, SPREAD * h.pitchMm),
  }),
};
