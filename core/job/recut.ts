import { isSquare } from '../form/flanks.ts';
import { planOf, toolOf, type PlanRequest } from '../cutting/plan.ts';
import { tipBeyondPitchLineMm } from '../cutting/tip.ts';
import { cleanUp, type Cleaned } from '../fit/clean.ts';
import { crestFlatMm } from '../form/sizes.ts';
import { tanDeg } from '../quantity/units.ts';
import { pitchMmOf, threadSizes } from '../standards/thread.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import type { Metal } from './metal.ts';
import { placesOn } from './places.ts';
import type { CutParts, FitParts, Has } from './schema.ts';
import { depthRead, leastWorn } from './special.ts';

/**
 * An old groove is cut again, and nothing besides it.
 * @example [recutting(demo('auger')), recutting(demo('pump'))] // [true, false]
 */
export const recutting = (job: Has<'intake'>): boolean => job.intake.wanted === 'recut';

/**
 * What has to be gone from the old groove for it to be clean all over; null where a recut has nothing to clean.
 * @example cleaning(demo('pump')) // null; nothing was said of bruises
 */
export function cleaning(job: CutParts): Cleaned | null {
  const thread = threadOfJob(job);
  const { clean } = job.fit;
  if (!clean || !recutting(job)) return null;
  const fit = fitOfJob(job);
  if (!thread || !fit) return null;
  const { form } = fit;
  return cleanUp(clean, {
    make: job.intake.make,
    leadingDeg: form.leadingDeg,
    trailingDeg: form.trailingDeg,
    crestFlatMm: crestFlatMm(form, pitchMmOf(thread)),
    finishedMm: fit.startDiameterMm,
    onePassMm: job.cut.firstMaxMm ?? USUAL_PASS_MM,
    taper: form.taper,
  });
}
/** A pass where no largest cut was set, mm. Common practice, no source. */
const USUAL_PASS_MM = 0.25;

/**
 * What is to be reached, with what was asked deeper. A recut's is never less than the old groove and what
 * cleans it. @param q the question with the target of the fit alone
 * @example [plan(demo('pump')).request.target, targetOf(demo('pump'), plan(demo('pump')).request, 0.1)] // [{ pitchDiameterMm: 28.578 }, { pitchDiameterMm: 28.378 }]; 0.1 mm deeper is 0.2 mm on diameter
 */
export function targetOf(job: CutParts, q: PlanRequest, deeperMm: number): PlanRequest['target'] {
  const least = q.grooveMm + (cleaning(job)?.deeperMm ?? 0);
  if (q.surfaceMm === null) return { depthMm: Math.max(least + deeperMm, q.doneMm, NOTHING_MM) };
  const planned = recutting(job) && least > 0 ? planOf(q) : null;
  // a question that is refused is refused with its own words
  if (planned?.ok && planned.value.depthMm < least) return { depthMm: least + deeperMm };
  if ('depthMm' in q.target) return { depthMm: q.target.depthMm + deeperMm };
  const inward = q.member === 'external' ? -1 : 1;
  return { pitchDiameterMm: q.target.pitchDiameterMm + 2 * inward * deeperMm };
}
/** A depth that schedules nothing. */
const NOTHING_MM = 1e-9;

/** How far off the groove's middle a tool brought in by eye may stand along the axis, mm. Common practice, no source. */
const CENTRING_MM = 0.05;

/**
 * Depth below the surface at which a recut first meets metal, mm; null where it meets metal from the first touch. The old
 * groove as it was measured from that surface, else as deep as this tool goes into a groove of the pitch diameter read (of
 * the basic one where none was), less what an error of centring brings the nearer flank forward: x / tan a.
 * @example meetsMetalMm(demo('sluice'), plan(demo('sluice')).request, metal(demo('sluice'))) // null; a new screw has no old groove
 * @example meetsMetalMm({ ...demo('sluice'), intake: { ...demo('sluice').intake, wanted: 'recut' } }, plan(demo('sluice')).request, { touched: 'surface', grooveMm: 1.1 }) // 0.9067
 */
export function meetsMetalMm(job: FitParts, q: PlanRequest, metal: Metal): number | null {
  const thread = threadOfJob(job);
  if (!thread || !recutting(job) || metal.touched !== 'surface' || q.surfaceMm === null) return null;
  const tool = toolOf(q);
  const early = CENTRING_MM / Math.max(tanDeg(Math.min(q.leadingDeg, q.trailingDeg)), LEAST_TAN);
  if (metal.grooveMm !== null && metal.grooveMm > 0) return metal.grooveMm - early;
  if (isSquare(tool)) return null;
  const read = placesOn(job, thread, job.intake.make).map((p) => p.pitchDiameterMm);
  const external = q.member === 'external';
  // the place with most metal left is met first
  const old =
    read.length === 0 ? threadSizes(thread).pitchDiameterMm : external ? Math.max(...read) : Math.min(...read);
  const toLine = ((external ? 1 : -1) * (q.surfaceMm - old)) / 2;
  return toLine + tipBeyondPitchLineMm(tool, q.pitchMm) - early;
}
/** Square flanks would put the metal nowhere: as steep as this is as near as it is reckoned. */
const LEAST_TAN = 0.05;

/**
 * Depth of the old groove below a surface, as it was read from its crest, mm: less what the surface lies under that crest.
 * Null: not a recut, or not read. @param surfaceMm diameter of the surface that the tool touches
 * @example oldGrooveBelowMm(demo('latch'), 24) // null; it is no recut
 * @example oldGrooveBelowMm({ ...demo('sluice'), intake: { ...demo('sluice').intake, wanted: 'recut' } }, 37.5) // 3.5016
 */
export function oldGrooveBelowMm(job: FitParts, surfaceMm: number): number | null {
  const depth = recutting(job) ? depthRead(job) : null;
  if (depth === null) return null;
  const external = job.intake.make === 'external';
  const crest = leastWorn(job, external ? 'majorDiameter' : 'minorDiameter')?.value ?? surfaceMm;
  return Math.max(0, depth - ((external ? 1 : -1) * (crest - surfaceMm)) / 2);
}

/**
 * Diameter at the tip in what is cut now, mm: from the surface touched, or from the root as it was read. Null: neither is known.
 * @example tipDiameterNowMm(demo('latch'), metal(demo('latch'))) // null; nothing was touched
 * @example tipDiameterNowMm(demo('sluice'), metal(demo('sluice'))) // 35.3545
 */
export function tipDiameterNowMm(job: FitParts, metal: Metal): number | null {
  const inward = job.intake.make === 'external' ? -1 : 1;
  if (metal.touched === 'groove') {
    const root = leastWorn(job, job.intake.make === 'external' ? 'minorDiameter' : 'majorDiameter');
    return root === null ? null : root.value + 2 * inward * metal.depthMm;
  }
  if (metal.surfaceMm === null) return null;
  const there = Math.max(metal.depthMm, metal.grooveMm ?? 0);
  return there > 0 ? metal.surfaceMm + 2 * inward * there : null;
}
