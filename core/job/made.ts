import type { Has, Job, Reading } from './schema.ts';

type Intake = Job['intake'];

/**
 * Nut for screw, screw for nut.
 * @example otherMember('external') // 'internal'
 */
export const otherMember = (member: Intake['make']): Intake['make'] =>
  member === 'external' ? 'internal' : 'external';

/**
 * What is to be cut, from what came in and what is wanted; null where both are possible and somebody has to say.
 * @example [makeOf({ cameIn: 'screw', wanted: 'copy' }), makeOf({ cameIn: 'screw', wanted: 'mate' })] // ['external', 'internal']
 */
export function makeOf(intake: Pick<Intake, 'cameIn' | 'wanted'>): Intake['make'] | null {
  const { cameIn, wanted } = intake;
  if (cameIn === 'both') return null;
  const part = cameIn === 'nut' ? 'internal' : 'external';
  // a mate is the other member, and so is a gauge: a ring for a screw, a plug for a nut
  return wanted === 'mate' || wanted === 'gauge' ? otherMember(part) : part;
}

/**
 * The member whose classes hold: what is made, or what a gauge is made for.
 * @example classMemberOf({ make: 'external', wanted: 'gauge' }) // 'internal'; a plug is made for a nut's class
 */
export const classMemberOf = ({ make, wanted }: Pick<Intake, 'make' | 'wanted'>): Intake['make'] =>
  wanted === 'gauge' ? otherMember(make) : make;

const partIsScrew = (job: Has<'intake'>): boolean => job.intake.cameIn !== 'nut';

/**
 * Readings of one quantity on the screw, or on the nut, whichever of them was called the part.
 * @example readingsOn(demo('gland'), 'external', 'majorDiameter').length // 2
 */
export const readingsOn = (
  job: Has<'intake' | 'readings'>,
  member: Intake['make'],
  quantity: Reading['quantity'],
): Reading[] =>
  job.readings.filter(
    (r) => r.quantity === quantity && (r.member === 'part') === ((member === 'external') === partIsScrew(job)),
  );
