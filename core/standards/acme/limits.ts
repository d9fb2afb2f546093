import { own } from '../../quantity/own.ts';
import { acmeClearanceMm } from '../../form/shape.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, to, type ThreadLimits, type Tolerances } from '../tolerances.ts';

/** Allowance factor of sqrt(D), and tolerance factors of sqrt(D) and sqrt(P), inches. ASME B1.5 (4G from memory). */
const ACME: Readonly<Record<string, readonly [number, number, number]>> = {
  '2G': [0.008, 0.006, 0.03],
  '3G': [0.006, 0.0028, 0.014],
  '4G': [0.004, 0.002, 0.01],
};

/** Limits of general-purpose Acme, and of stub Acme (2G only, ASME B1.8). Each term is rounded to 0.0001 in before it is used. */
function acmeLimits(majorMm: number, pitchMm: number, cls: string, stub: boolean): Outcome<ThreadLimits> {
  const c = cls.trim().toUpperCase();
  const factors = stub && c !== '2G' ? undefined : own(ACME, c);
  if (!factors)
    return bad('class', 'not-a-class', {
      class: cls,
      standard: stub ? 'stub Acme' : 'general-purpose Acme',
      near: stub ? '2G' : '2G, 3G or 4G',
    });
  const [d, p] = [to(toInches(majorMm), 4), toInches(pitchMm)];
  const clear = to(2 * toInches(acmeClearanceMm(pitchMm)), 4);
  const height = to(stub ? 0.3 * p : 0.5 * p, 4);
  const d2 = to(d - height, 4);
  const d1 = to(d - to(2 * (stub ? 0.3 : 0.5) * p, 4), 4);
  const allowance = to(factors[0] * Math.sqrt(d), 4);
  const t2 = to(to(factors[1] * Math.sqrt(d), 4) + to(factors[2] * Math.sqrt(p), 4), 4);
  const crest = Math.max(0.005, to(0.05 * p, 4));
  return good({
    external: {
      major: inchLimits(to(d - crest, 4), d),
      pitch: inchLimits(to(d2 - allowance - t2, 4), to(d2 - allowance, 4)),
      minor: inchLimits(to(d1 - clear - to(1.5 * t2, 4), 4), to(d1 - clear, 4)),
    },
    internal: {
      major: inchLimits(to(d + clear, 4), to(d + 2 * clear, 4)),
      pitch: inchLimits(d2, to(d2 + t2, 4)),
      minor: inchLimits(d1, to(d1 + crest, 4)),
    },
    source: stub ? 'ASME B1.8' : 'ASME B1.5',
    notes: c === '4G' ? [{ code: 'from-memory', of: 'class', class: c }] : [],
  });
}

/** Classes of this standard and their limits. */
export const ACME_TOLERANCES: Tolerances = {
  external: ['2G', '3G', '4G'],
  internal: ['2G', '3G', '4G'],
  limits: ({ majorMm, pitchMm }, cls) => acmeLimits(majorMm, pitchMm, cls, false),
};
/** Classes of this standard and their limits. */
export const STUB_ACME_TOLERANCES: Tolerances = {
  external: ['2G'],
  internal: ['2G'],
  limits: ({ majorMm, pitchMm }, cls) => acmeLimits(majorMm, pitchMm, cls, true),
};
