import { DEFAULT_SIGMA, type Evidence } from '../evidence/evidence.ts';
import { kindOf } from '../reading/kinds.ts';
import { isSpanned, spanSigmaMm } from '../reading/pitch.ts';
import { otherMember } from './made.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Job, Reading } from './schema.ts';

/** The side that was measured: what came in, not what is to be made. */
export const partOf = (job: Job): 'external' | 'internal' => (job.intake.cameIn === 'nut' ? 'internal' : 'external');

/** A stored reading as evidence for naming. */
export function evidenceOf(r: Reading, part: 'external' | 'internal'): Evidence | null {
  const own = kindOf(r.quantity).evidence(r);
  if (!own) return null;
  const system = unitTyped(r.text);
  return {
    ...own,
    ...(r.member === 'mate' ? { member: otherMember(part) } : {}),
    ...(system ? { system } : {}),
  };
}

/** The unit that was written with a length: a fraction is of an inch by itself. Null: none was. */
function unitTyped(text: string): UnitSystem | null {
  if (/\d\s*(?:in\b|"|\u2033|thou\b)|\d\s*\/\s*\d/i.test(text)) return 'in';
  return /mm\b/i.test(text) ? 'mm' : null;
}

/** How well a length or an angle was read, one standard deviation: as its instrument does, else the usual; null for a count. */
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

/** Pitch that a count of crests gives, and its standard deviation, mm; null without the length they were counted over. */
export function pitchOfCount(r: Reading): { readonly mm: number; readonly sigmaMm: number } | null {
  if (!r.span) return null;
  const mm = r.span.mm / r.value;
  return { mm, sigmaMm: (isSpanned(r) ? spanSigmaMm(r.uncertainty ?? 0) : DEFAULT_SIGMA.crests * mm) / r.value };
}

export const evidenceOfJob = (job: Job): Evidence[] => job.readings.flatMap((r) => evidenceOf(r, partOf(job)) ?? []);
