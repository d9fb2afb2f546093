import { DEFAULT_SIGMA, type Evidence } from '../evidence/evidence.ts';
import { otherMember } from './made.ts';
import type { Job, Reading } from './schema.ts';

/** The side that was measured: what came in, not what is to be made. */
export const partOf = (job: Job): 'external' | 'internal' => (job.intake.cameIn === 'nut' ? 'internal' : 'external');

/** A stored reading as evidence for naming. */
export function evidenceOf(r: Reading, part: 'external' | 'internal'): Evidence | null {
  const own = plainEvidence(r);
  return own && r.member === 'mate' ? { ...own, member: otherMember(part) } : own;
}

/** An instrument at least this fine measures from crest to crest. */
export const FINE_ENOUGH_MM = 0.1;
const isSpanned = (r: Reading): boolean => r.uncertainty !== null && r.uncertainty <= FINE_ENOUGH_MM;
const spanSigmaMm = (r: Reading): number => Math.hypot(Math.SQRT2 * (r.uncertainty ?? 0), DEFAULT_SIGMA.crestPlacedMm);

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
  return { mm, sigmaMm: (isSpanned(r) ? spanSigmaMm(r) : DEFAULT_SIGMA.crests * mm) / r.value };
}

/** Null: a reading that lacks what it was taken with says nothing. */
function plainEvidence(r: Reading): Evidence | null {
  const sigma = r.uncertainty;
  switch (r.quantity) {
    case 'majorDiameter':
    case 'minorDiameter':
    case 'pitchDiameter':
      return {
        quantity: r.quantity,
        valueMm: r.value,
        wear: r.wear,
        ...(sigma === null ? {} : { uncertaintyMm: sigma }),
      };
    case 'overWires':
      return (
        r.span && {
          quantity: 'overWires',
          valueMm: r.value,
          wireMm: r.span.mm,
          wear: r.wear,
          ...(sigma === null ? {} : { uncertaintyMm: sigma }),
        }
      );
    case 'crestFlat':
    case 'rootFlat':
    case 'crestRadius':
    case 'rootRadius':
      // an edge is judged by eye whatever it is measured with
      return {
        quantity: r.quantity,
        valueMm: r.value,
        ...(sigma === null ? {} : { uncertaintyMm: Math.max(sigma, DEFAULT_SIGMA.radiusMm) }),
      };
    case 'depth':
      return { quantity: 'depth', valueMm: r.value, wear: r.wear, ...(sigma === null ? {} : { uncertaintyMm: sigma }) };
    case 'crestCount':
      return (
        r.span && {
          quantity: 'crestCount',
          crests: r.value,
          spanMm: r.span.mm,
          // measured from crest to crest; against a rule the crests are merely counted
          ...(isSpanned(r) ? { spanUncertaintyMm: spanSigmaMm(r) } : {}),
        }
      );
    case 'pitchLeaf':
      return (
        r.leaf && {
          quantity: 'pitchLeaf',
          pitchMm: r.value,
          fit: r.leaf,
          ...(r.span === null ? {} : { overMm: r.span.mm }),
        }
      );
    case 'flankAngle':
    case 'leadingFlank':
    case 'trailingFlank':
      return { quantity: r.quantity, valueDeg: r.value, ...(sigma === null ? {} : { uncertaintyDeg: sigma }) };
    case 'lead':
      return { quantity: 'lead', valueMm: r.value, ...(sigma === null ? {} : { uncertaintyMm: sigma }) };
    case 'taper':
      return { quantity: 'taper', ratio: r.value };
    case 'starts':
      return { quantity: 'starts', count: r.value };
    case 'hand':
      return { quantity: 'hand', hand: r.value < 0 ? 'left' : 'right' };
  }
}

export const evidenceOfJob = (job: Job): Evidence[] => job.readings.flatMap((r) => evidenceOf(r, partOf(job)) ?? []);
