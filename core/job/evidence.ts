import { DEFAULT_SIGMA, type Evidence } from '../evidence/evidence.ts';
import { kindOf } from '../reading/kinds.ts';
import { isSpanned, spanSigmaMm } from '../reading/pitch.ts';
import { otherMember } from './made.ts';
import { inches, type UnitSystem } from '../quantity/units.ts';
import type { Has, Reading } from './schema.ts';

/**
 * The side that was measured: what came in, not what is to be made.
 * @example [partOf(demo('pump')), partOf(demo('gland'))] // ['external', 'external']; for the gland's nut the screw is read
 */
export const partOf = (job: Has<'intake'>): 'external' | 'internal' =>
  job.intake.cameIn === 'nut' ? 'internal' : 'external';

/**
 * A stored reading as evidence for naming.
 * @example evidenceOf(demo('pump').readings[0], 'external') // { quantity: 'majorDiameter', valueMm: 29.86, wear: 'unworn', uncertaintyMm: 0.004, system: 'mm' }
 */
export function evidenceOf(r: Reading, part: 'external' | 'internal'): Evidence | null {
  const own = kindOf(r.quantity).evidence(r);
  if (!own) return null;
  // nobody chose a unit for what a picture gave
  const system = r.picture === undefined ? unitTyped(r) : null;
  return {
    ...own,
    ...(r.member === 'mate' ? { member: otherMember(part) } : {}),
    ...(system ? { system } : {}),
  };
}

/** A figure typed bare is of the unit in which it makes the value that was kept, within rounding. */
const SAME_SHARE = 1e-6;

/** The unit that a length was typed in: as written, a fraction of an inch by itself, else by what it came to. Null: neither. */
function unitTyped({ text, value }: Pick<Reading, 'text' | 'value'>): UnitSystem | null {
  if (/\d\s*(?:in\b|"|\u2033|thou\b)|\d\s*\/\s*\d/i.test(text)) return 'in';
  if (/mm\b/i.test(text)) return 'mm';
  const bare = Number(text.trim().replace(',', '.'));
  const is = (mm: number): boolean => Math.abs(mm - value) <= SAME_SHARE * Math.abs(value);
  return is(bare) ? 'mm' : is(inches(bare)) ? 'in' : null;
}

/**
 * How well a length or an angle was read, one standard deviation: as its instrument does, else the usual; null for a count.
 * @example demo('pump').readings.map(sigmaOf) // [0.004, null, null, 1]
 */
export function sigmaOf(r: Reading): number | null {
  switch (r.quantity) {
    case 'flankAngle':
    case 'leadingFlank':
    case 'trailingFlank':
      return r.uncertainty ?? DEFAULT_SIGMA.angleDeg;
    case 'crestFlat':
    case 'rootFlat':
    case 'crestRadius':
    case 'rootRadius':
      // an edge is judged by eye whatever it is measured with
      return Math.max(r.uncertainty ?? 0, DEFAULT_SIGMA.radiusMm);
    case 'depth':
      return r.uncertainty ?? DEFAULT_SIGMA.depthMm;
    case 'majorDiameter':
    case 'minorDiameter':
    case 'pitchDiameter':
    case 'overWires':
    case 'lead':
      return r.uncertainty ?? DEFAULT_SIGMA.diameterMm;
    default:
      return null;
  }
}

/**
 * Pitch that a count of crests gives, and its standard deviation, mm; null without the length they were counted over.
 * @example pitchOfCount(demo('pump').readings.find((r) => r.quantity === 'crestCount')).mm // 2; 25 in 50 mm
 */
export function pitchOfCount(r: Reading): { readonly mm: number; readonly sigmaMm: number } | null {
  if (!r.span) return null;
  const mm = r.span.mm / r.value;
  return { mm, sigmaMm: (isSpanned(r) ? spanSigmaMm(r.uncertainty ?? 0) : DEFAULT_SIGMA.crests * mm) / r.value };
}

/**
 * Every reading of a job as evidence; those that lack what they were taken with are left out.
 * @example evidenceOfJob(demo('pump')).length // 4
 */
export const evidenceOfJob = (job: Has<'intake' | 'readings'>): Evidence[] =>
  job.readings.flatMap((r) => evidenceOf(r, partOf(job)) ?? []);
