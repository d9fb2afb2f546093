import { own } from '../../quantity/own.ts';
import { inches, toInches } from '../../quantity/units.ts';
import { nptPitchDiameterMm } from '../taperPipe.ts';

/** Length of hand-tight engagement L1, inches, by pipe size. ASME B1.20.1. */
const L1_IN: Readonly<Record<string, number>> = {
  '1/16': 0.16,
  '1/8': 0.1615,
  '1/4': 0.2278,
  '3/8': 0.24,
  '1/2': 0.32,
  '3/4': 0.339,
  '1': 0.4,
  '1 1/4': 0.42,
  '1 1/2': 0.42,
  '2': 0.436,
  '2 1/2': 0.682,
  '3': 0.766,
  '3 1/2': 0.821,
  '4': 0.844,
  '5': 0.937,
  '6': 0.958,
  '8': 1.063,
  '10': 1.21,
  '12': 1.36,
};

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

/** Gauging lengths of an NPT size. @param size as labelled, "1/2" @see ASME B1.20.1 */
export function nptGauging(size: string, pipeOutsideMm: number, pitchMm: number): NptGauging | null {
  const l1 = own(L1_IN, size);
  if (l1 === undefined) return null;
  const e0Mm = nptPitchDiameterMm(pipeOutsideMm, pitchMm);
  return {
    e0Mm,
    e1Mm: e0Mm + inches(l1) / 16,
    l1Mm: inches(l1),
    l2Mm: inches((0.8 * toInches(pipeOutsideMm) + 6.8) * toInches(pitchMm)),
    turnMm: pitchMm,
  };
}
