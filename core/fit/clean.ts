import { slopeOf, type Flanks } from '../form/flanks.ts';
import { sinDeg } from '../quantity/units.ts';
import { plain, type Step } from '../quantity/working.ts';

/** What a recut has to clean away, mm. */
export interface ToClean {
  /** Deepest pit, square to the flank. */
  readonly pitMm: number;
  /** Half of what the old thread runs out as it is held now. */
  readonly eccentricMm: number;
  /** Lowest spot of what was built up (on diameter; of a nut its widest); null: nothing was built up. */
  readonly builtUpMm: number | null;
}

/** What it takes to clean up bruised flanks. */
export interface Cleaned {
  /** By how much the groove has to be deeper than the old one, radial, mm; null: between square flanks no depth cleans a flank. */
  readonly deeperMm: number | null;
  /** On diameter, of a screw the least that the built-up metal must measure at its lowest spot (of a nut the most); null: nothing was built up. */
  readonly needsMm: number | null;
  readonly enough: boolean | null;
  /** Crest flat that is left once the groove is so much deeper, mm; under zero the crest is gone and the outside falls. */
  readonly crestLeftMm: number | null;
  /** On a taper, by how much shoulder and end go back; null: straight. */
  readonly pushBackMm: number | null;
  readonly working: readonly Step[];
}

/**
 * What depth cleans an old groove all over: a plunge by d takes d sin a off each flank, and a thread re-seated e out of true is
 * reached all round only at d = e, so d = e + p / sin a on the steeper flank. Built-up metal has to stand proud of the
 * finished surface by e and one pass at its lowest spot. Geometry; one pass as scheduled. @param finishedMm surface of the
 * finished thread, on diameter @param taper on diameter
 * @example cleanUp({ pitMm: 0.1, eccentricMm: 0, builtUpMm: null }, { leadingDeg: 30, trailingDeg: 30, make: 'external', crestFlatMm: 0.25, finishedMm: 24, onePassMm: 0.1, taper: 0 }).deeperMm // 0.2; 0.1 / sin 30
 */
export function cleanUp(
  what: ToClean,
  thread: Flanks & {
    readonly make: 'external' | 'internal';
    readonly crestFlatMm: number;
    readonly finishedMm: number;
    readonly onePassMm: number;
    readonly taper: number;
  },
): Cleaned {
  const steepDeg = Math.min(thread.leadingDeg, thread.trailingDeg);
  const slope = slopeOf(thread);
  const square = steepDeg < SQUARE_DEG;
  const deeperMm =
    what.pitMm === 0 ? what.eccentricMm : square ? null : what.eccentricMm + what.pitMm / sinDeg(steepDeg);
  const proudMm = 2 * (what.eccentricMm + thread.onePassMm);
  const outward = thread.make === 'external' ? 1 : -1;
  const needsMm = what.builtUpMm === null ? null : thread.finishedMm + outward * proudMm;
  const working: Step[] = [];
  if (deeperMm !== null)
    working.push({
      name: 'Deeper than the old groove',
      symbol: '\u0394h',
      formula: 'e + p / sin a',
      values: `${plain(what.eccentricMm)} + ${plain(what.pitMm)} / sin ${plain(steepDeg)}\u00b0`,
      result: deeperMm,
      unit: 'mm',
      source: 'geometry: a plunge by d takes d sin a off a flank',
    });
  if (needsMm !== null)
    working.push({
      name: thread.make === 'external' ? 'Lowest spot of what was built up' : 'Widest spot of what was built up',
      symbol: 'd min',
      formula: `finished ${outward > 0 ? '+' : '\u2212'} 2 (e + one pass)`,
      values: `${plain(thread.finishedMm)} ${outward > 0 ? '+' : '\u2212'} 2 \u00d7 (${plain(what.eccentricMm)} + ${plain(thread.onePassMm)})`,
      result: needsMm,
      unit: 'mm',
      source: 'geometry; one pass as scheduled',
    });
  const taper = Math.abs(thread.taper);
  return {
    deeperMm,
    needsMm,
    enough: needsMm === null || what.builtUpMm === null ? null : outward * (what.builtUpMm - needsMm) >= 0,
    crestLeftMm: deeperMm === null ? null : thread.crestFlatMm - slope * deeperMm,
    pushBackMm: taper > 0 && deeperMm !== null ? (2 * deeperMm) / taper : null,
    working,
  };
}
/** A flank steeper than this is square for the purpose: no plunge that a shop would cut cleans it. */
const SQUARE_DEG = 1;
