import { formAt, trapezoidalClearanceMm } from '../../form/shape.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { td2Grade6 } from '../iso/limits.ts';
import { r40Step } from '../iso/r40.ts';
import { mmLimits, type ThreadLimits, type Tolerances } from '../tolerances.ts';

/** One pitch of the tables, um: deviations c and e of screws, tolerance of a screw's major diameter and of a nut's minor, grade 4. */
type OfPitch = readonly [pitchMm: number, c: number, e: number, td: number, td1: number];
/** ISO 2903, from memory: c and e follow 95 and 47.5 root P from 4 mm up, the tolerances ISO 965-1's grade 4, each as it was printed. */
const FINEST: OfPitch = [1.5, 140, 67, 150, 190];
const PRINTED: readonly OfPitch[] = [
  FINEST,
  [2, 150, 71, 180, 236],
  [3, 170, 85, 236, 315],
  [4, 190, 95, 300, 375],
  [5, 212, 106, 335, 450],
  [6, 236, 118, 375, 500],
  [7, 250, 125, 425, 560],
  [8, 265, 132, 450, 630],
  [9, 280, 140, 500, 670],
  [10, 300, 150, 530, 710],
  [12, 335, 160, 600, 800],
  [14, 355, 180, 670, 900],
  [16, 375, 190, 710, 1000],
  [18, 400, 200, 800, 1120],
  [20, 425, 212, 850, 1180],
  [22, 450, 224, 900, 1250],
  [24, 475, 236, 950, 1320],
  [28, 500, 250, 1060, 1500],
  [32, 530, 265, 1120, 1600],
  [36, 560, 280, 1250, 1800],
  [40, 600, 300, 1320, 1900],
  [44, 630, 315, 1400, 2000],
];
/** Of a pitch that the tables have not got: the next finer one that they have, so that no limit is wider than its neighbour's. */
const ofPitch = (p: number): OfPitch => PRINTED.findLast(([printed]) => printed <= p + 1e-9) ?? FINEST;

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
  const [, c, e, td4, td1] = ofPitch(pitchMm);
  if (position === 'H') {
    const t2 = r40Step(td2, 5 + 4 * (grade - 6)) / 1000;
    return good({
      internal: { major: mmLimits(d4, null), pitch: mmLimits(d2, d2 + t2), minor: mmLimits(d1, d1 + td1 / 1000) },
      source,
      notes: [],
    });
  }
  const es = position === 'c' ? c : position === 'e' ? e : 0;
  const t2 = r40Step(td2, 4 * (grade - 6)) / 1000;
  const t3 = 1.25 * t2 + es / 1000;
  return good({
    external: {
      major: mmLimits(dMm - td4 / 1000, dMm),
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
