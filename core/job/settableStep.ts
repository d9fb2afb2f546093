import { latheOf } from './derive.ts';
import { feedOf } from './feed.ts';
import type { Metal } from './metal.ts';
import { LEAST_CUT_MM } from './leastCut.ts';
import { setTo } from './nextPass.ts';
import { planRequest } from './cutPlan.ts';
import type { Job, Shop } from './schema.ts';

/** A step is no step under this, mm. */
const NOTHING_MM = 1e-6;

/**
 * The step deeper that the lathe's dial can be set to, radial mm: the one before what was wanted, or the first there is. Rounded
 * here once, so that dial, words and record have one figure. Null: there is no dial to set, or nothing to count from.
 * @param wantedMm radial @param round down where more would be a risk; to the nearest where a person named the step
 * @example settableStep(demo('press'), shop, metal(demo('press')), 0.01) // null; nothing is named
 * @example settableStep(demo('sluice'), shop, metal(demo('sluice')), 0.05) // 0.0493; an inch dial, along a slide at 14 degrees
 */
export function settableStep(
  job: Job,
  shop: Shop,
  metal: Metal,
  wantedMm: number,
  round: 'nearest' | 'down' = 'down',
): number | null {
  const request = planRequest(job, shop, metal);
  const lathe = latheOf(job, shop);
  if (!request || !lathe || metal.touched === null) return null;
  const at = { metal, feed: feedOf(job, metal), request, lathe };
  const here = Math.max(metal.depthMm, 0);
  const step = (mm: number, by: 'nearest' | 'down'): number =>
    setTo({ depthMm: here + mm, axialMm: metal.axialMm }, at, by).depthMm - here;
  const set = step(wantedMm + NOTHING_MM, round);
  if (set > LEAST_CUT_MM) return set;
  // finer than that no pass is set: the first that cuts
  for (let mm = LEAST_CUT_MM; mm < MOST_MM; mm += LEAST_CUT_MM / 2) {
    const near = step(mm, 'nearest');
    if (near > LEAST_CUT_MM) return near;
  }
  return null;
}
/** No dial is as coarse as this, mm. */
const MOST_MM = 1;
