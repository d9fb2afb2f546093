import { own } from '../../quantity/own.ts';
import { formAt } from '../../form/shape.ts';
import { basicSizes } from '../../form/sizes.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, to, type LimitsNote, type ThreadLimits, type Tolerances } from '../tolerances.ts';

/** T of BS 84, inches: 0.002 D^(1/3) + 0.003 sqrt(L) + 0.005 sqrt(P). */
const bs84T = (d: number, l: number, p: number): number =>
  0.002 * Math.cbrt(d) + 0.003 * Math.sqrt(l) + 0.005 * Math.sqrt(p);

const BOLT: Readonly<Record<string, number>> = { close: 2 / 3, medium: 1, free: 1.5 };
/** Nuts are close, medium or normal; "normal" goes with free bolts. */
const NUT: Readonly<Record<string, number>> = { close: 2 / 3, medium: 1, free: 1.5, normal: 1.5 };

/** Limits of a Whitworth-form bolt and nut. Length of engagement: as given, else one diameter. Inches to four places. */
function bs84Limits(majorMm: number, pitchMm: number, cls: string, engagementMm: number | null): Outcome<ThreadLimits> {
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

/** Of BSW and BSF alike. */
export const WHITWORTH_TOLERANCES: Tolerances = {
  external: ['medium', 'close', 'free'],
  internal: ['medium', 'close', 'normal'],
  limits: ({ majorMm, pitchMm }, cls, engagementMm) => bs84Limits(majorMm, pitchMm, cls, engagementMm),
};
