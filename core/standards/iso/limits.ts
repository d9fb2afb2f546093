import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { formAt } from '../../form/shape.ts';
import { basicSizes } from '../../form/sizes.ts';
import { mmLimits, to, type LimitsNote, type ThreadLimits, type Tolerances } from '../tolerances.ts';
import { r40Step } from './r40.ts';

// All figures in this module are those printed in ISO 965-1, micrometres, typed from memory and checked against the
// formulae of the standard (see the test); where the two differ the printed one stands.

/** Fundamental deviations by pitch, mm: [g (and G with the other sign), e, f]; null where the table has none. Table 1. */
const DEVIATIONS: Readonly<Record<string, readonly [number, number | null, number | null]>> = {
  '0.2': [17, null, null],
  '0.25': [18, null, null],
  '0.3': [18, null, null],
  '0.35': [19, null, 34],
  '0.4': [19, null, 34],
  '0.45': [20, null, 35],
  '0.5': [20, 50, 36],
  '0.6': [21, 53, 36],
  '0.7': [22, 56, 38],
  '0.75': [22, 56, 38],
  '0.8': [24, 60, 38],
  '1': [26, 60, 40],
  '1.25': [28, 63, 42],
  '1.5': [32, 67, 45],
  '1.75': [34, 71, 48],
  '2': [38, 71, 52],
  '2.5': [42, 80, 58],
  '3': [48, 85, 63],
  '3.5': [53, 90, 70],
  '4': [60, 95, 75],
  '4.5': [63, 100, 80],
  '5': [71, 106, 85],
  '5.5': [75, 112, 90],
  '6': [80, 118, 95],
  '8': [100, 140, 118],
};

/** Td, major diameter of the screw, grade 6. Table 4. Grades 4 and 8 are eight R40 places away. */
const TD6: Readonly<Record<string, number>> = {
  '0.2': 56,
  '0.25': 67,
  '0.3': 75,
  '0.35': 85,
  '0.4': 95,
  '0.45': 100,
  '0.5': 106,
  '0.6': 125,
  '0.7': 140,
  '0.75': 140,
  '0.8': 150,
  '1': 180,
  '1.25': 212,
  '1.5': 236,
  '1.75': 265,
  '2': 280,
  '2.5': 335,
  '3': 375,
  '3.5': 425,
  '4': 475,
  '4.5': 500,
  '5': 530,
  '5.5': 560,
  '6': 600,
  '8': 710,
};

/** TD1, minor diameter of the nut, grade 6. Table 3. Four R40 places a grade. */
const TD1_6: Readonly<Record<string, number>> = {
  '0.2': 60,
  '0.25': 71,
  '0.3': 85,
  '0.35': 100,
  '0.4': 112,
  '0.45': 125,
  '0.5': 140,
  '0.6': 160,
  '0.7': 180,
  '0.75': 190,
  '0.8': 200,
  '1': 236,
  '1.25': 265,
  '1.5': 300,
  '1.75': 335,
  '2': 375,
  '2.5': 450,
  '3': 500,
  '3.5': 560,
  '4': 600,
  '4.5': 670,
  '5': 710,
  '5.5': 750,
  '6': 800,
  '8': 1000,
};
/** Printed cells of Td grade 8 that are not eight places from grade 6. */
const TD8_PRINTED: Readonly<Record<string, number>> = { '8': 1180 };

/** Td2, pitch diameter of the screw, grade 6, by upper end of the diameter step and pitch. Table 6. */
const TD2_6: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '1.4': { '0.2': 48, '0.25': 53, '0.3': 56 },
  '2.8': { '0.2': 50, '0.25': 56, '0.35': 63, '0.4': 67, '0.45': 71 },
  '5.6': { '0.35': 67, '0.5': 75, '0.6': 85, '0.7': 90, '0.75': 90, '0.8': 95 },
  '11.2': { '0.75': 100, '1': 112, '1.25': 118, '1.5': 132 },
  '22.4': { '1': 118, '1.25': 132, '1.5': 140, '1.75': 150, '2': 160, '2.5': 170 },
  '45': { '1': 125, '1.5': 150, '2': 170, '3': 200, '3.5': 212, '4': 224, '4.5': 236 },
  '90': { '1.5': 160, '2': 180, '3': 212, '4': 236, '5': 250, '5.5': 265, '6': 280 },
  '180': { '2': 190, '3': 224, '4': 250, '6': 300, '8': 335 },
  '355': { '3': 250, '4': 280, '6': 315, '8': 355 },
};

/** Diameter steps, mm: over, up to and including. */
const ISO_STEPS = [0.99, 1.4, 2.8, 5.6, 11.2, 22.4, 45, 90, 180, 355] as const;
const FORM = 'iso60';

function diameterStep(dMm: number): readonly [number, number] | null {
  for (let i = 1; i < ISO_STEPS.length; i += 1) {
    const [lo, hi] = [ISO_STEPS[i - 1] ?? 0, ISO_STEPS[i] ?? 0];
    if (dMm > lo && dMm <= hi) return [lo, hi];
  }
  return null;
}

/**
 * Td2, pitch diameter, grade 6, um: as printed, else 90 P^0.4 d^0.1 with d the geometric mean of the step, to R40.
 * @example td2Grade6(10, 1.5) // 132; ISO 965-1
 */
export function td2Grade6(dMm: number, pitchMm: number): number | null {
  const step = diameterStep(dMm);
  if (!step) return null;
  return TD2_6[String(step[1])]?.[key(pitchMm)] ?? td2Formula(step, pitchMm);
}
const td2Formula = (step: readonly [number, number], pitchMm: number): number =>
  r40Step(90 * pitchMm ** 0.4 * Math.sqrt(step[0] * step[1]) ** 0.1, 0);

const key = (p: number): string => String(Number(p.toFixed(4)));
const formulaTd6 = (p: number): number => r40Step(180 * p ** (2 / 3) - 3.15 / Math.sqrt(p), 0);
const formulaTd1 = (p: number): number => r40Step(p < 0.9 ? 433 * p - 190 * p ** 1.22 : 230 * p ** 0.7, 0);

/**
 * Td, major diameter of the screw, grade 6, um: as printed, else the formula. ISO 965-1.
 * @example td6(1.5) // 236; ISO 965-1
 */
export const td6 = (p: number): number => TD6[key(p)] ?? formulaTd6(p);
/**
 * TD1, minor diameter of the nut, grade 6, um: as printed, else the formula. ISO 965-1.
 * @example td1Grade6(1.5) // 300; ISO 965-1
 */
export const td1Grade6 = (p: number): number => TD1_6[key(p)] ?? formulaTd1(p);
const majorTolerance = (p: number, grade: number): number =>
  grade === 8 && TD8_PRINTED[key(p)] !== undefined ? (TD8_PRINTED[key(p)] ?? 0) : r40Step(td6(p), 4 * (grade - 6));

/** Fundamental deviation, um, towards the metal; the formula for a pitch the table does not have. */
function deviationUm(position: string, p: number): number | null {
  const row = DEVIATIONS[key(p)];
  switch (position.toLowerCase()) {
    case 'h':
      return 0;
    case 'g':
      return row ? row[0] : Math.round(15 + 11 * p);
    case 'e':
      return row ? row[1] : Math.round(50 + 11 * p);
    case 'f':
      return row ? row[2] : Math.round(30 + 11 * p);
    default:
      return null;
  }
}

interface Symbol {
  readonly grade: number;
  readonly position: string;
}
const SYMBOL = /^(\d)([a-zA-Z])(?:(\d)([a-zA-Z]))?$/;

/**
 * Limits of an ISO metric thread: "6g", "5g6g" (pitch diameter, then crest diameter), "6H".
 * External minor diameter: only the largest is given (basic D1 less the deviation); the root below it is left open.
 */
function iso965Limits(dMm: number, pitchMm: number, cls: string, engagementMm: number | null): Outcome<ThreadLimits> {
  const m = SYMBOL.exec(cls.trim());
  if (!m)
    return bad('class', 'not-a-class', {
      class: cls,
      standard: 'ISO 965-1',
      near: '6g, 4h, 6e, 8g, 5g6g for screws; 6H, 5H, 7H, 6G for nuts',
    });
  const pd: Symbol = { grade: Number(m[1]), position: m[2] ?? '' };
  const crest: Symbol = m[3] === undefined ? pd : { grade: Number(m[3]), position: m[4] ?? '' };
  const internal = pd.position === pd.position.toUpperCase();
  if (internal !== (crest.position === crest.position.toUpperCase())) return bad('class', 'class-both');
  const td2 = td2Grade6(dMm, pitchMm);
  if (td2 === null)
    return bad('designation', 'size-not-in-standard', {
      size: `${dMm} mm`,
      standard: 'ISO 965-1',
      right: 'M1 to M355',
    });
  const dev = deviationUm(pd.position, pitchMm);
  const crestDev = deviationUm(crest.position, pitchMm);
  const positions = internal ? 'GH' : 'efgh';
  if (!positions.includes(pd.position) || !positions.includes(crest.position) || dev === null || crestDev === null)
    return bad('class', 'position-not-given', { position: pd.position, pitchMm });
  const gradesOk = internal
    ? [4, 5, 6, 7, 8].includes(pd.grade) && [4, 5, 6, 7, 8].includes(crest.grade)
    : [3, 4, 5, 6, 7, 8, 9].includes(pd.grade) && (m[3] === undefined || [4, 6, 8].includes(crest.grade));
  if (!gradesOk) return bad('class', 'grade-not-given', { grade: m[3] === undefined ? pd.grade : crest.grade });
  const s = basicSizes(formAt(FORM, pitchMm), dMm);
  const [d2, d1] = [to(s.pitchDiameterMm, 3), to(s.minorInternalMm, 3)];
  const notes: LimitsNote[] = [
    engagementMm === null
      ? { code: 'group', group: 'N', given: false }
      : { code: 'group', group: engagementGroup(dMm, pitchMm, engagementMm), given: true },
  ];
  const source = 'ISO 965-1';
  if (internal) {
    const t2 = r40Step(td2, 5 + 4 * (pd.grade - 6)) / 1000;
    const t1 = r40Step(td1Grade6(pitchMm), 4 * (crest.grade - 6)) / 1000;
    const [ei2, ei1] = [dev / 1000, crestDev / 1000];
    return good({
      internal: {
        major: mmLimits(dMm + ei2, null),
        pitch: mmLimits(d2 + ei2, d2 + ei2 + t2),
        minor: mmLimits(d1 + ei1, d1 + ei1 + t1),
      },
      source,
      notes,
    });
  }
  // a class written once with an odd grade has the crest grade of its even neighbour: 4, 6, 8 alone exist for Td
  const crestGrade = m[3] === undefined ? ({ 3: 4, 5: 6, 7: 6, 9: 8 }[pd.grade] ?? pd.grade) : crest.grade;
  const t2 = r40Step(td2, 4 * (pd.grade - 6)) / 1000;
  const t = majorTolerance(pitchMm, crestGrade) / 1000;
  const [es2, es] = [dev / 1000, crestDev / 1000];
  return good({
    external: {
      major: mmLimits(dMm - es - t, dMm - es),
      pitch: mmLimits(d2 - es2 - t2, d2 - es2),
      minor: mmLimits(null, d1 - es2),
    },
    source,
    notes: crestGrade === pd.grade ? notes : [...notes, { code: 'crest-grade', grade: crestGrade }],
  });
}

/**
 * Length of engagement group: N from 2.24 P d^0.2 to 6.7 P d^0.2 with d the low end of the diameter step. ISO 965-1.
 * @example engagementGroup(10, 1.5, 12) // 'N'
 */
export function engagementGroup(dMm: number, pitchMm: number, engagementMm: number): 'S' | 'N' | 'L' {
  const low = diameterStep(dMm)?.[0] ?? dMm;
  const unit = pitchMm * low ** 0.2;
  return engagementMm < 2.24 * unit ? 'S' : engagementMm <= 6.7 * unit ? 'N' : 'L';
}

/** Classes of this standard and their limits. */
export const METRIC_TOLERANCES: Tolerances = {
  external: ['6g', '4h', '6h', '6e', '6f', '8g', '5g6g', '7g6g'],
  internal: ['6H', '5H', '7H', '4H', '6G'],
  limits: ({ majorMm, pitchMm }, cls, engagementMm) => iso965Limits(majorMm, pitchMm, cls, engagementMm),
};
