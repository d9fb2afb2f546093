import { equalFlanks, includedDeg, type Flanks } from '../form/flanks.ts';
import { DEFAULT_SIGMA } from '../evidence/evidence.ts';
import { flatOverWiresMm, leadOverWiresMm } from '../form/flatWires.ts';
import type { Expectation } from '../reading/expectation.ts';
import { parseLength } from '../quantity/length.ts';
import { good } from '../quantity/outcome.ts';
import { degrees } from '../quantity/units.ts';
import { around } from './diameter.ts';
import { uncertainty, type ReadingKind } from './kind.ts';
import { BLUNDER_PER_MM, pitchToleranceMm, shortfall, sigmaOfLength, withBlunder } from './noise.ts';
import { diameterSlip, type Known } from './slips.ts';

/** Between square flanks a wire drops to the root: nothing over it says anything of the pitch diameter. */
const noWireRests = (h: Flanks): boolean => includedDeg(h) < 1;

/**
 * M less d2 of a candidate, with the textbook term for the lead angle: what that leaves out stays below the tolerance that
 * a naming must allow for anyway.
 */
const overPitchDiameterMm = (h: Expectation, wireMm: number, starts: number): number =>
  flatOverWiresMm(h, h.pitchMm, wireMm) + leadOverWiresMm(h, h.pitchMm * starts, h.pitchDiameterMm, wireMm);

/** Flanks nearer to square than this carry no wire; those nearer than the second are of the steep forms. */
const SQUARE_BELOW_DEG = degrees(0.1);
const STEEP_BELOW_DEG = degrees(0.35);

/** M for flat geometry and the usual depths; near enough to see a slip by. */
function expectedOverWires(known: Known, wireMm: number): number | null {
  if (known.majorMm === null || known.pitchMm === null) return null;
  const included = known.includedDeg ?? 60;
  const half = included / 2;
  if (!(half > SQUARE_BELOW_DEG)) return null;
  // P/2 deep to the pitch line twice over for the steep forms, 0.65 P for the usual ones
  const pitchDiameter = known.majorMm - (half < STEEP_BELOW_DEG ? 0.5 : 0.65) * known.pitchMm;
  return pitchDiameter + flatOverWiresMm(equalFlanks(included), known.pitchMm, wireMm);
}

/** Diameter over wires. */
export const overWires: ReadingKind<'overWires'> = {
  measures: 'length',
  worn: true,
  onStarts: true,
  parse: ({ text, spanText }, system) => {
    const over = parseLength(text, { system, field: 'value', maxMm: 3000 });
    if (!over.ok) return over;
    const wire = parseLength(spanText, { system, field: 'span', maxMm: 60 });
    if (!wire.ok) return wire;
    return good({
      value: over.value.mm,
      span: { text: spanText.trim(), mm: wire.value.mm },
      leaf: null,
    });
  },
  slip: (value, known, wireMm) =>
    wireMm === null ? null : diameterSlip(value, expectedOverWires(known, wireMm), known.pitchMm),
  evidence: (r) =>
    r.span && {
      quantity: 'overWires',
      valueMm: r.value,
      wireMm: r.span.mm,
      wear: r.wear,
      ...uncertainty('uncertaintyMm', r),
    },
  nominal: () => null,
  density: (e, h, _, starts) => {
    if (noWireRests(h)) return withBlunder(0, BLUNDER_PER_MM);
    const d2 = e.valueMm - overPitchDiameterMm(h, e.wireMm, starts);
    return shortfall(
      h.pitchDiameterMm - d2,
      sigmaOfLength(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm),
      pitchToleranceMm(h.pitchMm, h.majorMm) + h.alongTaperMm,
      e.wear ?? 'unknown',
      h.pitchMm,
    );
  },
  free: (e) => 1 / (5 * Math.max(1, e.valueMm)),
  ideals: (e, h, _, starts) =>
    noWireRests(h) ? [e] : around(e, h.pitchDiameterMm + overPitchDiameterMm(h, e.wireMm, starts), h.pitchMm),
  reason: (e, h, _, starts) =>
    noWireRests(h)
      ? { kind: 'no-rest', wireMm: e.wireMm }
      : {
          kind: 'size',
          of: 'overWires',
          readMm: e.valueMm - overPitchDiameterMm(h, e.wireMm, starts),
          expectedMm: h.pitchDiameterMm,
        },
};
