import { formAt, trapezoidalClearanceMm } from '../../form/shape.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { td2Grade6 } from '../iso/limits.ts';
import { r40Step } from '../iso/r40.ts';
import { mmLimits, type ThreadLimits, type Tolerances } from '../tolerances.ts';

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
function trapezoidalLimits(dMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
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

/** Classes of this standard and their limits. */
export const TRAPEZOIDAL_TOLERANCES: Tolerances = {
  external: ['7e', '8e', '8c', '9c'],
  internal: ['7H', '8H', '9H'],
  limits: ({ majorMm, pitchMm }, cls) => trapezoidalLimits(majorMm, pitchMm, cls),
};
