import { flanksUnderTool } from '../cutting/underTool.ts';
import { judgeSlideAngle, withoutScale, type SlideAngle } from '../cutting/slideAngle.ts';
import { MATERIAL_DATA } from '../cutting/materials.ts';
import { carriageSpeedMmS, speedFrom, threadingRpm } from '../cutting/speed.ts';
import { slideScaleDeg, slideScaleSteps } from '../lathe/dials.ts';
import { parseAngle } from '../quantity/angle.ts';
import { numberOf } from '../quantity/rational.ts';
import type { Step } from '../quantity/working.ts';
import { threadFormOf } from '../standards/thread.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import { endOf, type EndView } from './endView.ts';
import { kept } from '../keep/keep.ts';
import type { Job, Shop } from './schema.ts';

/** Materials whose speed is known here. */
export const MATERIALS = Object.keys(MATERIAL_DATA);

/** What Set up concludes from thread, lathe and what was chosen; null before the thread has a name. */
export interface SetupView {
  /** Half angle of the flank that is not cut: the slide follows it. */
  readonly halfDeg: number;
  readonly slide: SlideAngle;
  /** What the top slide's own scale reads (without one, a protractor on the chuck's face). Null: no lathe. */
  readonly scale: { readonly deg: number; readonly steps: readonly Step[] } | null;
  /** The slide has no scale: by protractor, or blocks under a sine bar. Null: it has one. */
  readonly unscaled: ReturnType<typeof withoutScale> | null;
  /** Highest speed for threading it; null: nothing is known of the material. */
  readonly wantedRpm: number | null;
  /** As chosen, else the lathe's own speed nearest below what material and end allow; null: neither, or none is slow enough. */
  readonly rpm: number | null;
  /** No speed of this lathe is slow enough for the end. */
  readonly allTooQuick: boolean;
  /** How the thread ends; null: the lead is not known. */
  readonly end: EndView | null;
  /** Carriage speed and time to stop or withdraw; null where speed, lead or room is not known. */
  readonly react: {
    readonly seconds: number;
    readonly carriageMmS: number;
    /** Less than a hand can be sure of. */
    readonly tooQuick: boolean;
    readonly steps: readonly Step[];
  } | null;
}

/** Beyond this nobody swings a slide, degrees from the cross-slide line. */
const MOST_SLIDE_DEG = 45;
/** Most that the record keeps. */
const MOST_KEPT_DEG = 60;
/**
 * A slide's angle as typed; one that no slide is set to is taken all the same where it is a slip that can be named.
 * @example value(parseSlideAngle('29 1/2', 30)).deg // 29.5
 */
export function parseSlideAngle(t: string, flankDeg: number): ReturnType<typeof parseAngle> {
  const wide = parseAngle(t, 'angle', MOST_KEPT_DEG);
  return wide.ok && judgeSlideAngle(wide.value.deg, flankDeg).slip !== null
    ? wide
    : parseAngle(t, 'angle', MOST_SLIDE_DEG);
}

/**
 * All that Set up shows of a job; null: nothing is named.
 * @example setupOf(demo('sluice'), shop).rpm // 40
 */
export const setupOf = kept((job: Job, shop: Shop): SetupView | null => {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const lathe = latheOf(job, shop);
  const plan = fitOfJob(job);
  const lead = gearState(job, shop)?.lead;
  const leadMm = lead ? numberOf(lead) : null;
  const { slideAngleDeg } = job.setup;
  const halfDeg = flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand }).trailingDeg;
  const wantedRpm = plan ? threadingRpm(job.intake.material, plan.startDiameterMm) : null;
  const end = endOf(job, lathe, leadMm);
  const mostRpm = wantedRpm === null ? null : Math.min(wantedRpm, end?.highestRpm ?? Infinity);
  const offered = mostRpm !== null && lathe ? speedFrom(lathe.speeds, mostRpm) : null;
  // what warns at once is not offered
  const allTooQuick = job.setup.rpm === null && offered !== null && end?.at(offered)?.enough === false;
  const rpm = job.setup.rpm ?? (allTooQuick ? null : offered);
  const at = rpm === null ? null : (end?.at(rpm) ?? null);
  return {
    halfDeg,
    slide: judgeSlideAngle(slideAngleDeg, halfDeg),
    scale: lathe && {
      deg: slideScaleDeg(slideAngleDeg, lathe.slideScaleZero),
      steps: slideScaleSteps(slideAngleDeg, lathe.slideScaleZero),
    },
    unscaled: lathe?.slideScaleZero === 'none' ? withoutScale(slideAngleDeg) : null,
    wantedRpm,
    rpm,
    allTooQuick,
    end,
    react:
      rpm !== null && leadMm !== null && at
        ? {
            seconds: at.seconds,
            tooQuick: !at.enough,
            carriageMmS: carriageSpeedMmS(rpm, leadMm),
            steps: end?.steps(rpm) ?? [],
          }
        : null,
  };
});
