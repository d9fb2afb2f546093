import { equalFlanks, mirrored, type Flanks } from '../form/flanks.ts';
import { basicSizes, type BasicSizes } from '../form/sizes.ts';
import { formAt, specialForm, type FormId, type SpecialForm, type ThreadForm } from '../form/shape.ts';
import { exact, mixedText, numberOf, shortText, type Rational, INCH_MM } from '../quantity/rational.ts';
import { isMetricPitch, isTpiPitch, storedPitch, tpiOf } from '../quantity/pitch.ts';
import { toInches } from '../quantity/units.ts';
import { designate, familyOf, type StandardThread } from './catalogue.ts';
import type { FamilyId } from './family.ts';
import { nptPitchDiameterMm } from './pipe/taper.ts';

/** A thread as named: plain data, kept in job documents; everything geometric follows from it. */
export interface ThreadSpec {
  readonly designation: string;
  readonly family: FamilyId | 'Special';
  /** Nominal (basic major) diameter, mm. For taper pipe threads the pipe's outside (NPT) or the gauge-plane major (R). */
  readonly majorMm: number;
  /** Exact pitch, mm: "127/65". The lead is this times the starts. */
  readonly pitch: string;
  readonly starts: number;
  readonly leftHand: boolean;
  readonly form: FormId;
  readonly special?: SpecialForm;
  /** Of unlike flanks, the one that the table calls leading faces the head on this part, not the free end. */
  readonly flipped?: true;
}

/**
 * Pitch, exact, mm.
 * @example textOf(pitchOf(thread('1/2-13 UNC'))) // '127/65'
 */
export const pitchOf = (spec: ThreadSpec): Rational => storedPitch(spec.pitch);
/**
 * Lead, exact, mm: the pitch times the starts.
 * @example textOf(leadOf(thread('Tr 40x14 (P7)'))) // '14'
 */
export const leadOf = (spec: ThreadSpec): Rational => pitchOf(spec).mul(BigInt(spec.starts));
/**
 * Pitch, mm.
 * @example pitchMmOf(thread('1/2-13 UNC')) // 1.953846
 */
export const pitchMmOf = (spec: ThreadSpec): number => numberOf(pitchOf(spec));
/**
 * Lead, mm.
 * @example leadMmOf(thread('Tr 40x14 (P7)')) // 14
 */
export const leadMmOf = (spec: ThreadSpec): number => numberOf(leadOf(spec));

/**
 * Form of a thread at its own pitch, which flank leads as it stands on this part.
 * @throws RangeError for a special without its angles
 * @example threadFormOf(thread('Tr 40x7')).leadingDeg // 15
 */
export function threadFormOf(spec: ThreadSpec): ThreadForm {
  if (spec.form !== 'special') {
    const form = formAt(spec.form, pitchMmOf(spec));
    return spec.flipped ? { ...form, ...mirrored(form) } : form;
  }
  if (!spec.special) throw new RangeError(`special form without its angles: ${spec.designation}`);
  return specialForm(pitchMmOf(spec), spec.special);
}

/**
 * Basic diameters of a named thread, mm; for NPT those at the small end of the external thread (E0).
 * @throws RangeError where none follow from its figures: see `possibleSizes`
 * @example threadSizes(thread('M10')).pitchDiameterMm // 9.026; ISO 724
 */
export function threadSizes(spec: ThreadSpec): BasicSizes {
  const form = threadFormOf(spec);
  if (spec.form !== 'npt60' && spec.form !== 'nptf60') return basicSizes(form, spec.majorMm);
  const e0 = nptPitchDiameterMm(spec.majorMm, pitchMmOf(spec));
  return { ...basicSizes(form, e0 + 2 * form.external.outerMm), majorMm: spec.majorMm, pitchDiameterMm: e0 };
}

/**
 * Basic diameters of a thread whose figures may be anything, mm; null: no thread follows from them together.
 * @example possibleSizes({ ...thread('M10'), pitch: '30' }) // null; 30 mm are deeper than it is thick
 * @example possibleSizes(thread('M10')).pitchDiameterMm // 9.0257
 */
export function possibleSizes(spec: ThreadSpec): BasicSizes | null {
  try {
    const s = threadSizes(spec);
    return s.minorExternalMm > 0 && s.minorInternalMm > 0 && s.pitchDiameterMm > 0 ? s : null;
  } catch (e) {
    if (e instanceof RangeError) return null;
    throw e;
  }
}

/**
 * The thread of a published row.
 * @example threadOfRow(row('M10')).pitch // '3/2'
 */
export function threadOfRow(row: StandardThread, starts = 1, leftHand = false): ThreadSpec {
  return {
    designation: withStarts(row.designation, row.family, exactOf(row.pitch), starts, leftHand),
    family: row.family,
    majorMm: row.majorMm,
    pitch: row.pitch,
    starts,
    leftHand,
    form: familyOf(row.family).form,
  };
}

/** @throws RangeError for a pitch that is none: a row of the tables or a checked document always has one */
const exactOf = storedPitch;

/** Adds starts and hand to a single-start designation, in the way its family writes them. */
function withStarts(
  single: string,
  family: ThreadSpec['family'],
  pitch: Rational,
  starts: number,
  leftHand: boolean,
): string {
  let text = single;
  if (starts > 1) {
    const lead = shortText(pitch.mul(BigInt(starts)));
    if (family === 'Tr' || family === 'S') text = single.replace(/x[^x]*$/, `x${lead} (P${shortText(pitch)})`);
    else if (family === 'M') text = `${single.replace(/x.*$/, '')}xPh${lead}P${shortText(pitch)}`;
    else text = `${single} ${starts}-start`;
  }
  return leftHand ? `${text} LH` : text;
}

/** Forms by the included angle a machinist would say. */
const BY_ANGLE: Readonly<Record<string, FormId>> = {
  60: 'iso60',
  55: 'whitworth55',
  '47.5': 'ba47',
  29: 'acme29',
  30: 'trapezoidal30',
  0: 'square',
};

/** Nominal size as a machinist writes it: a workshop fraction of an inch, or millimetres. */
function sizeText(majorMm: number, prefer: 'mm' | 'in'): string {
  const sixtyFourths = (majorMm / numberOf(INCH_MM)) * 64;
  if (prefer === 'in' && Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-6)
    return `${mixedText(exact(`${Math.round(sixtyFourths)}/64`))} in`;
  return prefer === 'in' ? `${Number(toInches(majorMm).toFixed(5))} in` : `${Number(majorMm.toFixed(4))} mm`;
}

/** A special's pitch in words: threads per inch for inch sizes and for what is no metric pitch. */
function pitchWords(pitch: Rational, prefer: 'mm' | 'in'): string {
  if (isTpiPitch(pitch) && (prefer === 'in' || !isMetricPitch(pitch))) return `${shortText(tpiOf(pitch))} TPI`;
  return `${Number(numberOf(pitch).toFixed(5))} mm`;
}

/**
 * A thread that is in no table, by what it measures. @param flanks included angle, or leading and trailing flank, degrees
 * @example specialThread({ majorMm: 30, sizeSystem: 'mm', pitch: exact('127/40'), flanks: 55 }).designation // '30 mm x 8 TPI 55'
 */
export function specialThread(given: {
  readonly majorMm: number;
  readonly sizeSystem: 'mm' | 'in';
  readonly pitch: Rational;
  readonly flanks: number | Flanks;
  readonly starts?: number;
  readonly leftHand?: boolean;
  /** What was measured of a form that is no usual one. */
  readonly measured?: Omit<SpecialForm, keyof Flanks>;
}): ThreadSpec {
  const { leadingDeg, trailingDeg } = typeof given.flanks === 'number' ? equalFlanks(given.flanks) : given.flanks;
  const known =
    leadingDeg === trailingDeg && given.measured === undefined ? BY_ANGLE[String(leadingDeg + trailingDeg)] : undefined;
  const angle =
    leadingDeg === trailingDeg ? String(Number((leadingDeg + trailingDeg).toFixed(3))) : `${leadingDeg}/${trailingDeg}`;
  const single = `${sizeText(given.majorMm, given.sizeSystem)} x ${pitchWords(given.pitch, given.sizeSystem)} ${angle}`;
  const starts = given.starts ?? 1;
  const leftHand = given.leftHand ?? false;
  const base = {
    designation: withStarts(single, 'Special', given.pitch, starts, leftHand),
    family: 'Special' as const,
    majorMm: Number(given.majorMm.toFixed(6)),
    pitch: given.pitch.toFraction(),
    starts,
    leftHand,
  };
  if (known) return { ...base, form: known };
  return {
    ...base,
    form: 'special',
    special: { ...given.measured, leadingDeg, trailingDeg },
  };
}

/**
 * A size and pitch of a known family that its table does not list, e.g. M42.5x2.
 * @example unlistedThread('M', 'M11x1.25', 11, exact('5/4'), 1, false).majorMm // 11
 */
export function unlistedThread(
  family: FamilyId,
  size: string,
  majorMm: number,
  pitch: Rational,
  starts: number,
  leftHand: boolean,
): ThreadSpec {
  return {
    designation: withStarts(designate(family, size, pitch), family, pitch, starts, leftHand),
    family,
    majorMm,
    pitch: pitch.toFraction(),
    starts,
    leftHand,
    form: familyOf(family).form,
  };
}
