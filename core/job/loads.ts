import { leadAngleDeg } from '../form/helix.ts';
import type { Way } from '../cutting/edges.ts';
import { passLoad, powerKW, speedMMin, type PassLoad } from '../cutting/load.ts';
import { materialOf, type Material } from '../cutting/materials.ts';
import { toolOf, type PlannedPass } from '../cutting/plan.ts';
import { leadMmOf } from '../standards/thread.ts';
import { aheadOf, type Ahead } from './ahead.ts';
import { threadOfJob } from './derive.ts';
import { kept } from '../keep/keep.ts';
import type { Job, Shop } from './schema.ts';
import { setupOf } from './setupView.ts';

/** A pass with the force on its tool and the power it takes. */
export interface LoadedPass extends PlannedPass, PassLoad {
  /** At the spindle, kW; null: no speed is known. */
  readonly powerKW: number | null;
}

/** How a pass goes into the metal: along the flanks in turn, or at its feed's angle; the last that is straight in, straight. */
const wayOf = (a: Ahead, pass: PlannedPass, n: number): Way =>
  a.request.infeed === 'alternate'
    ? { only: n % 2 === 0 ? 'leading' : 'trailing' }
    : { feedDeg: pass.straightMm > 0 ? 0 : a.plan.feedDeg };

/**
 * The passes of a cut with what each asks of work, chuck and motor.
 * @example loadedPasses(demo('sluice'), shop, plan(demo('sluice')), { perMm2: 2500, exponent: 0.26 }).length // 23
 */
export function loadedPasses(job: Job, shop: Shop, a: Ahead, force: NonNullable<Material['force']>): LoadedPass[] {
  const thread = threadOfJob(job);
  const rpm = setupOf(job, shop)?.rpm ?? null;
  const surfaceMm = a.request.surfaceMm ?? 0;
  const speed = rpm === null ? null : speedMMin(surfaceMm, rpm);
  const angleDeg = thread ? leadAngleDeg(leadMmOf(thread), surfaceMm) : 0;
  return forcesOf(a, force, angleDeg).map((p) => ({
    ...p,
    powerKW: speed === null ? null : powerKW(p.mainN, speed),
  }));
}

/** What each pass asks of the tool: not of the speed, so that one that is typed costs no more than its power. */
const forcesOf = kept(
  (a: Ahead, force: NonNullable<Material['force']>, leadAngle: number): (PlannedPass & PassLoad)[] => {
    let from = Math.max(a.request.grooveMm, a.request.doneMm);
    let n = 0;
    return a.plan.passes.map((p) => {
      const load = passLoad({
        tool: toolOf(a.request),
        fromMm: p.spring ? p.depthMm : from,
        toMm: p.depthMm,
        way: wayOf(a, p, n),
        force,
        leadAngleDeg: leadAngle,
      });
      from = p.depthMm;
      n += p.spring ? 0 : 1;
      return { ...p, ...load };
    });
  },
);

/**
 * The passes of a job with their forces; none where nothing can be planned, or the material's force is not known.
 * @example loadsOf(demo('press'), shop) // []
 * @example loadsOf(demo('sluice'), shop)[0].depthMm // 0.2207
 */
export function loadsOf(job: Job, shop: Shop): LoadedPass[] {
  const ahead = aheadOf(job, shop);
  const force = materialOf(job.intake.material)?.force;
  return ahead?.ok && force ? loadedPasses(job, shop, ahead.value, force) : [];
}
