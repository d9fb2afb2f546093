import { DEFAULT_SIGMA, type Evidence } from '../evidence/evidence.ts';
import { inches } from '../quantity/units.ts';
import { otherMember } from './made.ts';
import type { Job, Reading } from './schema.ts';

/** The side that was measured: what came in, not what is to be made. */
export const partOf = (job: Job): 'external' | 'internal' => (job.intake.cameIn === 'nut' ? 'internal' : 'external');

/** A stored reading as evidence for naming. */
export function evidenceOf(r: Reading, part: 'external' | 'internal'): Evidence {
  const own = plainEvidence(r);
  return r.member === 'mate' ? { ...own, member: otherMember(part) } : own;
}

/** An instrument at least this fine measures from crest to crest. */
export const FINE_ENOUGH_MM = 0.1;
const isSpanned = (r: Reading): boolean => r.uncertainty !== null && r.uncertainty <= FINE_ENOUGH_MM;
const spanSigmaMm = (r: Reading): number => Math.hypot(Math.SQRT2 * (r.uncertainty ?? 0), DEFAULT_SIGMA.crestPlacedMm);

/** Pitch that a count of crests gives, and its standard deviation, mm. */
export function pitchOfCount(r: Reading): { readonly mm: number; readonly sigmaMm: number } {
  const mm = (r.span?.mm ?? inches(1)) / r.value;
  return { mm, sigmaMm: (isSpanned(r) ? spanSigmaMm(r) : DEFAULT_SIGMA.crests * mm) / r.value };
}

function plainEvidence(r: Reading): Evidence {
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
      return {
        quantity: 'overWires',
        valueMm: r.value,
        wireMm: r.span?.mm ?? 1,
        wear: r.wear,
        ...(sigma === null ? {} : { uncertaintyMm: sigma }),
      };
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
      return {
        quantity: 'crestCount',
        crests: r.value,
        spanMm: r.span?.mm ?? 25.4,
        // measured from crest to crest; against a rule the crests are merely counted
        ...(isSpanned(r) ? { spanUncertaintyMm: spanSigmaMm(r) } : {}),
      };
    case 'pitchLeaf':
      return {
        quantity: 'pitchLeaf',
        pitchMm: r.value,
        fit: r.leaf ?? 'fits',
        ...(r.span === null ? {} : { overMm: r.span.mm }),
      };
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

export const evidenceOfJob = (job: Job): Evidence[] => job.readings.map((r) => evidenceOf(r, partOf(job)));
