import { flanksUnderTool } from '../cutting/flanks.ts';
import { judgeSlideAngle, type SlideAngle } from '../cutting/slideAngle.ts';
import {
  carriageSpeedMmS,
  LEAST_TIME_S,
  reactionSteps,
  reactionTimeS,
  speedFrom,
  threadingRpm,
  TURNING_M_MIN,
} from '../cutting/speed.ts';
import { slideScaleDeg, slideScaleSteps } from '../lathe/dials.ts';
import { numberOf } from '../quantity/rational.ts';
import type { Step } from '../quantity/working.ts';
import { threadFormOf } from '../standards/thread.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import type { Job, Shop } from './schema.ts';

/** Materials whose speed is known here. */
export const MATERIALS = Object.keys(TURNING_M_MIN);

/** What Set up concludes from thread, lathe and what was chosen; null before the thread has a name. */
export interface SetupView {
  /** Half angle of the flank that is not cut: the slide follows it. */
  readonly halfDeg: number;
  readonly slide: SlideAngle;
  /** What the top slide's own scale reads. Null: no lathe. */
  readonly scale: { readonly deg: number; readonly steps: readonly Step[] } | null;
  /** Highest speed for threading it; null: nothing is known of the material. */
  readonly wantedRpm: number | null;
  /** As chosen, else the lathe's own speed nearest below the wanted one. */
  readonly rpm: number | null;
  /** Carriage speed and time to stop or withdraw; null where speed or lead is not known. */
  readonly react: {
    readonly seconds: number;
    readonly carriageMmS: number;
    /** Less than a hand can be sure of. */
    readonly tooQuick: boolean;
    readonly steps: readonly Step[];
  } | null;
}

export function setupOf(job: Job, shop: Shop): SetupView | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const lathe = latheOf(job, shop);
  const plan = fitOfJob(job);
  const lead = gearState(job, shop)?.lead;
  const leadMm = lead ? numberOf(lead) : null;
  const { slideAngleDeg, reliefMm } = job.setup;
  const halfDeg = flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand }).trailingDeg;
  const wantedRpm = plan ? threadingRpm(job.intake.material, plan.startDiameterMm) : null;
  const seconds = (r: number, mm: number): number => reactionTimeS(reliefMm, r, mm);
  const rpm = job.setup.rpm ?? (wantedRpm !== null && lathe ? speedFrom(lathe.speeds, wantedRpm) : null);
  return {
    halfDeg,
    slide: judgeSlideAngle(slideAngleDeg, halfDeg),
    scale: lathe && {
      deg: slideScaleDeg(slideAngleDeg, lathe.slideScaleZero),
      steps: slideScaleSteps(slideAngleDeg, lathe.slideScaleZero),
    },
    wantedRpm,
    rpm,
    react:
      rpm !== null && leadMm !== null
        ? {
            seconds: seconds(rpm, leadMm),
            tooQuick: seconds(rpm, leadMm) < LEAST_TIME_S,
            carriageMmS: carriageSpeedMmS(rpm, leadMm),
            steps: reactionSteps(reliefMm, rpm, leadMm),
          }
        : null,
  };
}
