import type { Quantity } from '../evidence/evidence.ts';
import { expectationOf } from '../identify/hypotheses.ts';
import { leadMmOf, pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';

/**
 * What each reading would be on a new thread of this name: mm, degrees, ratio or count as the reading itself has it. A
 * crest count is given as its pitch, mm. What cannot be told without more (over wires, without a wire) is left out.
 * Diameters are those of the table's own plane on a taper.
 */
export function expectedReadings(thread: ThreadSpec, side: 'external' | 'internal'): Partial<Record<Quantity, number>> {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const e = expectationOf(form, sizes.majorMm, pitchMmOf(thread));
  const edges = e.edges[side];
  const screw = side === 'external';
  return {
    majorDiameter: screw ? sizes.majorMm : sizes.majorInternalMm,
    minorDiameter: screw ? sizes.minorExternalMm : sizes.minorInternalMm,
    pitchDiameter: sizes.pitchDiameterMm,
    crestCount: e.pitchMm,
    pitchLeaf: e.pitchMm,
    flankAngle: e.leadingDeg + e.trailingDeg,
    leadingFlank: e.leadingDeg,
    trailingFlank: e.trailingDeg,
    depth: screw ? e.depthExternalMm : e.depthInternalMm,
    crestFlat: edges.crestFlatMm,
    rootFlat: edges.rootFlatMm,
    crestRadius: edges.crestRadiusMm,
    rootRadius: edges.rootRadiusMm,
    lead: leadMmOf(thread),
    taper: e.taper,
    starts: thread.starts,
    hand: thread.leftHand ? -1 : 1,
  };
}
