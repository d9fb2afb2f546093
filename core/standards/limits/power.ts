import { own } from '../../quantity/own.ts';
import { acmeClearanceMm, formAt, trapezoidalClearanceMm } from '../../form/shape.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, mmLimits, to, type ThreadLimits } from './limits.ts';
import { td2Grade6 } from './iso965.ts';
import { r40Step } from './r40.ts';

/** Allowance factor of sqrt(D), and tolerance factors of sqrt(D) and sqrt(P), inches. ASME B1.5 (4G from memory). */
const ACME: Readonly<Record<string, readonly [number, number, number]>> = {
  '2G': [0.008, 0.006, 0.03],
  '3G': [0.006, 0.0028, 0.014],
  '4G': [0.004, 0.002, 0.01],
};

/** Limits of general-purpose Acme, and of stub Acme (2G only, ASME B1.8). Each term is rounded to 0.0001 in before it is used. */
export function acmeLimits(majorMm: number, pitchMm: number, cls: string, stub: boolean): Outcome<ThreadLimits> {
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

/** Fundamental deviations of metric trapezoidal screws, um: c -(95 + 11P), e -(50 + 11P), by R40 as printed. ISO 2903. */
const trapezoidalDeviation = (position: string, p: number): number | null => {
  const raw = { c: 95 + 11 * p, e: 50 + 11 * p }[position];
  if (position === 'h') return 0;
  return raw === undefined ? null : r40Step(raw, 0);
};

/**
 * Limits of a metric trapezoidal thread, classes such as 7e and 7H. Pitch diameter by grade; screw major and nut minor by
 * grade 4; screw minor by 1.25 Td2 + |es|, position h. ISO 2903.
 */
export function trapezoidalLimits(dMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
  const m = /^([6789])\s*([cehH])$/.exec(cls.trim());
  const right = '7e, 8e, 8c, 9c for screws; 7H, 8H, 9H for nuts';
  if (!m) return bad('class', 'not-a-class', { class: cls, standard: 'ISO 2903', near: right });
  const grade = Number(m[1]);
  const position = m[2] ?? '';
  const td2 = td2Grade6(dMm, pitchMm);
  if (td2 === null)
    return bad('designation', 'size-not-in-standard', {
      size: `${dMm} mm`,
      standard: 'ISO 2903',
      right: 'Tr 8 to Tr 300',
    });
  const form = formAt('trapezoidal30', pitchMm);
  const ac = trapezoidalClearanceMm(pitchMm);
  const [d2, d1, d3, d4] = [
    dMm - pitchMm / 2,
    dMm - pitchMm,
    dMm - 2 * form.external.outerMm - 2 * form.external.innerMm,
    dMm + 2 * ac,
  ];
  const source = 'ISO 2903';
  const pm = pitchMm;
  const td4 = r40Step(180 * pm ** (2 / 3) - 3.15 / Math.sqrt(pm), -8) / 1000;
  const td1 = r40Step(230 * pm ** 0.7, -8) / 1000;
  if (position === 'H') {
    const t2 = r40Step(td2, 5 + 4 * (grade - 6)) / 1000;
    return good({
      internal: { major: mmLimits(d4, null), pitch: mmLimits(d2, d2 + t2), minor: mmLimits(d1, d1 + td1) },
      source,
      notes: [],
    });
  }
  const es = trapezoidalDeviation(position, pm);
  if (es === null) return bad('class', 'not-a-class', { class: position, standard: 'ISO 2903', near: right });
  const t2 = r40Step(td2, 4 * (grade - 6)) / 1000;
  const t3 = 1.25 * t2 + es / 1000;
  return good({
    external: {
      major: mmLimits(dMm - td4, dMm),
      pitch: mmLimits(d2 - es / 1000 - t2, d2 - es / 1000),
      minor: mmLimits(d3 - t3, d3),
    },
    source,
    notes: [{ code: 'crests-by-grade-4' }],
  });
}
