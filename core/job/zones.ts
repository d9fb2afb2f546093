import { classesOf, limitsOf, type Limits, type MemberLimits } from '../standards/limits.ts';
import { threadSizes, type ThreadSpec } from '../standards/thread.ts';
import type { FitPlan } from '../fit/fit.ts';
import { standingOfPart } from './metal.ts';
import type { Job } from './schema.ts';

/** Where one diameter of screw and nut may lie, what is aimed at and what was measured, mm. */
export interface Zone {
  readonly diameter: 'major' | 'pitch' | 'minor';
  readonly basicMm: number;
  /** Of the screw, and of the nut; null: made to no class, or left open by the standard on both sides. */
  readonly screw: Limits | null;
  readonly nut: Limits | null;
  readonly aimMm: number;
  /** Blank or bore as measured last; only where it is the diameter that was turned or bored. */
  readonly readMm: number | null;
}

const known = (l: Limits | undefined): Limits | null => (l && (l.min !== null || l.max !== null) ? l : null);

/**
 * The three diameters as the fit has them. Made to a class, the other member stands there in its own usual class, for what
 * it has to go with; without a class only the aim is known. Null limits are never made up.
 * @example zonesOf(demo('pump'), named(demo('pump')), fit(demo('pump'))).map((z) => z.diameter) // ['major', 'pitch', 'minor']
 */
export function zonesOf(job: Job, thread: ThreadSpec, plan: FitPlan): readonly Zone[] {
  const sizes = threadSizes(thread);
  const external = plan.make === 'external';
  const cls = plan.limits?.class ?? null;
  const side = (member: 'external' | 'internal'): MemberLimits | undefined => {
    if (cls === null) return undefined;
    const own = member === plan.make;
    const of = own ? cls : classesOf(thread)[member][0];
    if (of === undefined) return undefined;
    const limits = limitsOf(thread, of, own ? job.fit.engagementMm : null);
    return limits.ok ? limits.value[member] : undefined;
  };
  const [screw, nut] = [side('external'), side('internal')];
  const measured = standingOfPart(job).findLast((e) => e.kind === 'blankMeasured');
  const read = measured?.kind === 'blankMeasured' ? measured.diameterMm : null;
  const zone = (diameter: Zone['diameter'], basicMm: number, aimMm: number, turned: boolean): Zone => ({
    diameter,
    basicMm,
    screw: known(screw?.[diameter]),
    nut: known(nut?.[diameter]),
    aimMm,
    readMm: turned ? read : null,
  });
  return [
    zone(
      'major',
      external ? sizes.majorMm : sizes.majorInternalMm,
      external ? plan.startDiameterMm : plan.rootDiameterMm,
      external,
    ),
    zone('pitch', sizes.pitchDiameterMm, plan.pitchDiameterMm, false),
    zone(
      'minor',
      external ? sizes.minorExternalMm : sizes.minorInternalMm,
      external ? plan.rootDiameterMm : plan.startDiameterMm,
      !external,
    ),
  ];
}
