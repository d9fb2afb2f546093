import { isSquare } from '../form/flanks.ts';
import { dutyOf, dutyOnPitchMm } from '../fit/duty.ts';
import type { FitPlan } from '../fit/fit.ts';
import { kept } from '../keep/keep.ts';
import { feelMm } from '../sizing/model.ts';
import { pitchMmOf } from '../standards/thread.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { standingOfPart } from './metal.ts';
import type { FitParts, Has, Job } from './schema.ts';

/** Where the limits of a pitch diameter come from: a class, what was typed, what the thread is for, or what is usual for its pitch. */
export type LimitsOf = 'class' | 'typed' | 'duty' | 'usual';
/** What is right: a pitch diameter, or a clearance to a mate; mm. */
export type RightBy =
  | { readonly by: 'limits'; readonly minMm: number; readonly maxMm: number; readonly of: LimitsOf }
  | {
      readonly by: 'mate';
      readonly leastMm: number;
      readonly mostMm: number;
      /** Typed, what the duty wants, the clearance of the fit, or what a hand feels as free without shake. */
      readonly of: 'typed' | 'duty' | 'fit' | 'feel';
    };

/** Without class or duty a pitch diameter is right within so much on either side, mm: a + b sqrt(P). Common practice, no source. */
const USUAL_EITHER_SIDE = { aMm: 0.02, bMm: 0.015 } as const;
/** Of a clearance given as one figure, so much on either side is still it. Common practice, no source. */
const CLEARANCE_SHARE = 0.5;
/** Free by hand, no shake felt, in units of feel. Common practice, no source. */
const FREE_BY_FEEL = [1, 4] as const;

/** What a duty allows, as a clearance on the pitch diameter, mm; null: no duty, or square flanks. */
function dutyBand(job: Has<'fit'>, fit: FitPlan): { readonly least: number; readonly most: number } | null {
  if (job.fit.duty === null || isSquare(fit.form)) return null;
  const duty = dutyOf(job.fit.duty);
  const mm = (x: number): number => dutyOnPitchMm(fit.form, duty, x);
  return { least: mm(duty.least), most: mm(duty.most) };
}

/**
 * Where a pitch diameter is right: inside its class; else so much on either side of what is aimed at, as typed, as its duty
 * allows, or as is usual for its pitch. Common practice, no source, but for the class.
 * @example rightPitch(demo('pump'), fit(demo('pump'))) // { min: 28.493, max: 28.663, of: 'class' }
 */
export function rightPitch(
  job: FitParts & Has<'prove'>,
  fit: FitPlan,
): { readonly min: number; readonly max: number; readonly of: LimitsOf } {
  const { min, max } = fit.limits?.pitch ?? { min: null, max: null };
  if (min !== null && max !== null) return { min, max, of: 'class' };
  const about = (mm: number, of: LimitsOf) => ({ min: fit.pitchDiameterMm - mm, max: fit.pitchDiameterMm + mm, of });
  if (job.prove.eitherSideMm !== undefined) return about(job.prove.eitherSideMm, 'typed');
  const duty = dutyBand(job, fit);
  if (duty) return about((duty.most - duty.least) / 2, 'duty');
  const thread = threadOfJob(job);
  return about(USUAL_EITHER_SIDE.aMm + USUAL_EITHER_SIDE.bMm * Math.sqrt(thread ? pitchMmOf(thread) : 1), 'usual');
}

/**
 * Pitch diameter that a limit gauge of this class stands for: go at the most metal, not-go at the least; mm. Null: no such limit.
 * @example gaugeMm(fit(demo('pump')), 'go') // 28.663; a go ring has a screw's largest pitch diameter
 */
export function gaugeMm(fit: FitPlan, which: 'go' | 'not-go'): number | null {
  const { min, max } = fit.limits?.pitch ?? { min: null, max: null };
  return (which === 'go') === (fit.make === 'internal') ? min : max;
}

/**
 * Mates that the part has to go with, the deciding one first: the longest, for it feels the lead as well; as listed where
 * lengths are not known.
 * @example matesByLength({ prove: { mates: [{ name: 'slice', lengthMm: 5 }, { name: 'nut', lengthMm: 16 }] } }).map((m) => m.name) // ['nut', 'slice']
 */
export const matesByLength = (job: Has<'prove'>): readonly Job['prove']['mates'][number][] =>
  job.prove.mates.toSorted((a, b) => (b.lengthMm ?? 0) - (a.lengthMm ?? 0));

/**
 * By what the part is proved, as the job has it; null: no fit yet. What is at hand decides how one measures, never what is
 * wanted: a class is a class, with or without wires.
 * @example rightBy(demo('pump')) // { by: 'limits', minMm: 28.493, maxMm: 28.663, of: 'class' }
 */
export const rightBy = kept((job: Job): RightBy | null => {
  const fit = fitOfJob(job);
  const thread = threadOfJob(job);
  if (!fit || !thread) return null;
  const pitch = rightPitch(job, fit);
  const toMate = job.prove.mates.length > 0 || isSquare(fit.form) || onlyTried(job);
  const by = job.prove.by ?? (pitch.of === 'class' || !toMate ? 'limits' : 'mate');
  if (by === 'limits') return { by, minMm: pitch.min, maxMm: pitch.max, of: pitch.of };
  const { clearance } = job.prove;
  if (clearance) return { by, leastMm: clearance.leastMm, mostMm: clearance.mostMm, of: 'typed' };
  const duty = dutyBand(job, fit);
  if (duty) return { by, leastMm: duty.least, mostMm: duty.most, of: 'duty' };
  const wanted = job.fit.pitchClearanceMm;
  if (job.fit.class === null && wanted > 0)
    return { by, leastMm: wanted * (1 - CLEARANCE_SHARE), mostMm: wanted * (1 + CLEARANCE_SHARE), of: 'fit' };
  const g = feelMm(pitchMmOf(thread));
  return { by, leastMm: FREE_BY_FEEL[0] * g, mostMm: FREE_BY_FEEL[1] * g, of: 'feel' };
});

/**
 * The part was tried with a mate, and neither measured nor gauged.
 * @example onlyTried(demo('pump')) // false
 */
export function onlyTried(job: Has<'events' | 'intake'>): boolean {
  const kinds = new Set(standingOfPart(job).map((e) => e.kind));
  return kinds.has('tried') && !kinds.has('overWires') && !kinds.has('betweenBalls') && !kinds.has('gauged');
}
