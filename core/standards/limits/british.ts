import { own } from '../../quantity/own.ts';
import { formAt } from '../../form/shape.ts';
import { basicSizes } from '../../form/sizes.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, mmLimits, to, type ThreadLimits, type LimitsNote } from './limits.ts';

/** T of BS 84, inches: 0.002 D^(1/3) + 0.003 sqrt(L) + 0.005 sqrt(P). */
const bs84T = (d: number, l: number, p: number): number =>
  0.002 * Math.cbrt(d) + 0.003 * Math.sqrt(l) + 0.005 * Math.sqrt(p);

const BOLT: Readonly<Record<string, number>> = { close: 2 / 3, medium: 1, free: 1.5 };
/** Nuts are close, medium or normal; "normal" goes with free bolts. */
const NUT: Readonly<Record<string, number>> = { close: 2 / 3, medium: 1, free: 1.5, normal: 1.5 };

/** Limits of a Whitworth-form bolt and nut. Length of engagement: as given, else one diameter. Inches to four places. */
export function bs84Limits(
  majorMm: number,
  pitchMm: number,
  cls: string,
  engagementMm: number | null,
): Outcome<ThreadLimits> {
  const c = cls.trim().toLowerCase();
  const nut = own(NUT, c);
  if (nut === undefined)
    return bad('class', 'not-a-class', {
      class: cls,
      standard: 'BS 84',
      near: 'close, medium or free (nuts: close, medium, normal)',
    });
  const s = basicSizes(formAt('whitworth55', pitchMm), majorMm);
  const [d, d2, d1] = [toInches(majorMm), to(toInches(s.pitchDiameterMm), 4), to(toInches(s.minorExternalMm), 4)];
  const p = toInches(pitchMm);
  const t = bs84T(d, engagementMm === null ? d : toInches(engagementMm), p);
  const tpi = 1 / p;
  const nutT = to(t * nut, 4);
  const nutMinor = to(0.2 * p + (tpi >= 25.999 ? 0.004 : tpi >= 21.999 ? 0.005 : 0.007), 4);
  const internal = {
    major: inchLimits(to(d, 4), null),
    pitch: inchLimits(d2, to(d2 + nutT, 4)),
    minor: inchLimits(d1, to(d1 + nutMinor, 4)),
  };
  const source = 'BS 84';
  const notes: LimitsNote[] = [{ code: 'engagement', taken: engagementMm === null ? 'one-diameter' : 'given' }];
  const factor = own(BOLT, c);
  if (factor === undefined) return good({ internal, source, notes });
  const boltT = to(t * factor, 4);
  // room for plating on medium and free bolts up to 3/4 in
  const allowance = c !== 'close' && d <= 0.75 + 1e-9 ? to(0.3 * t, 4) : 0;
  const root = Math.sqrt(p);
  const majorT = to(t * factor + 0.01 * root, 4);
  const minorT = to(t * factor + (c === 'close' ? 0.013 : 0.02) * root, 4);
  const under = (x: number, tol: number) => inchLimits(to(x - allowance - tol, 4), to(x - allowance, 4));
  return good({
    external: { major: under(to(d, 4), majorT), pitch: under(d2, boltT), minor: under(d1, minorT) },
    internal,
    source,
    notes,
  });
}

/** Limits of BA screws and nuts, mm. The tolerance formulae are from memory of BS 93 (see docs/standards.md). */
export function bs93Limits(number: number, majorMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
  const c = cls.trim().toLowerCase();
  if (c !== 'close' && c !== 'normal')
    return bad('class', 'not-a-class', { class: cls, standard: 'BS 93', near: 'close or normal' });
  const s = basicSizes(formAt('ba47', pitchMm), majorMm);
  const p = pitchMm;
  const normal = c === 'normal';
  const allowance = normal ? 0.025 : 0;
  const under = (x: number, tol: number) => mmLimits(x - allowance - tol, x - allowance);
  const majorT = normal ? (number <= 10 ? 0.2 : 0.25) * p : 0.15 * p;
  return good({
    external: {
      major: under(majorMm, majorT),
      pitch: under(s.pitchDiameterMm, normal ? 0.1 * p + 0.025 : 0.08 * p + 0.02),
      minor: under(s.minorExternalMm, normal ? 0.2 * p + 0.025 : 0.16 * p + 0.02),
    },
    internal: {
      major: mmLimits(majorMm, null),
      pitch: mmLimits(s.pitchDiameterMm, s.pitchDiameterMm + 0.12 * p + 0.03),
      minor: mmLimits(s.minorExternalMm, s.minorExternalMm + 0.375 * p),
    },
    source: 'BS 93 (formulae from memory)',
    notes: [{ code: 'from-memory', of: 'tolerances', class: c }],
  });
}

/** ISO 228-1, mm: by threads per inch and size, [pitch diameter, external major, internal minor]. */
function pipeTolerances(majorMm: number, pitchMm: number): readonly [number, number, number] {
  const tpi = Math.round(1 / toInches(pitchMm));
  if (tpi === 28) return [0.107, 0.214, 0.282];
  if (tpi === 19) return [0.125, 0.25, 0.445];
  if (tpi === 14) return [0.142, 0.284, 0.541];
  return majorMm < 60 ? [0.18, 0.36, 0.64] : [0.217, 0.434, 0.64];
}

/** Limits of a parallel pipe thread, ISO 228-1: class A or B for the external thread; the internal thread has one class. */
export function iso228Limits(majorMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
  const c = cls.trim().toUpperCase();
  if (c !== 'A' && c !== 'B') return bad('class', 'not-a-class', { class: cls, standard: 'ISO 228-1', near: 'A or B' });
  const s = basicSizes(formAt('pipe55', pitchMm), majorMm);
  const [t2, td, t1] = pipeTolerances(majorMm, pitchMm);
  return good({
    external: {
      major: mmLimits(majorMm - td, majorMm),
      pitch: mmLimits(s.pitchDiameterMm - (c === 'A' ? t2 : 2 * t2), s.pitchDiameterMm),
      minor: mmLimits(null, s.minorExternalMm),
    },
    internal: {
      major: mmLimits(majorMm, null),
      pitch: mmLimits(s.pitchDiameterMm, s.pitchDiameterMm + t2),
      minor: mmLimits(s.minorExternalMm, s.minorExternalMm + t1),
    },
    source: 'ISO 228-1',
    notes: [],
  });
}
