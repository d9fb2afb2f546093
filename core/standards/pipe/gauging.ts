import { inches, toInches } from '../../quantity/units.ts';
import { NPT_SIZES } from './rows.ts';
import { nptPitchDiameterMm } from './taper.ts';

/** Gauging of a taper pipe thread at both ends. */
export interface NptGauging {
  /** Pitch diameter at the small end, mm. */
  readonly e0Mm: number;
  /** Pitch diameter at the large end of the internal thread: E0 + L1/16, mm. */
  readonly e1Mm: number;
  readonly l1Mm: number;
  /** Effective thread length (0.80 D + 6.8) P, mm. */
  readonly l2Mm: number;
  /** One turn of the gauge either way, mm along the axis. */
  readonly turnMm: number;
}

/**
 * Gauging lengths of an NPT size; null: ASME B1.20.1 has no such size. @see ASME B1.20.1
 * @example nptGauging(0.84 * 25.4, 25.4 / 14).e1Mm / 25.4 // 0.77843; ASME B1.20.1
 */
export function nptGauging(pipeOutsideMm: number, pitchMm: number): NptGauging | null {
  const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
  const size = NPT_SIZES.find(([, d, tpi]) => near(inches(d), pipeOutsideMm) && near(inches(1) / tpi, pitchMm));
  if (!size) return null;
  const l1Mm = inches(size[3]);
  const e0Mm = nptPitchDiameterMm(pipeOutsideMm, pitchMm);
  return {
    e0Mm,
    e1Mm: e0Mm + l1Mm / 16,
    l1Mm,
    l2Mm: inches((0.8 * toInches(pipeOutsideMm) + 6.8) * toInches(pitchMm)),
    turnMm: pitchMm,
  };
}
