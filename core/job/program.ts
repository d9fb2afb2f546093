import { programOf } from '../motion/iso6983.ts';
import { leadsClear } from '../pickup/dropped.ts';
import { LEADS_BEFORE, motionOf, type Motion } from '../motion/motion.ts';
import type { Problem } from '../quantity/outcome.ts';
import { numberOf, type Rational } from '../quantity/rational.ts';
import { leadOf, threadFormOf } from '../standards/thread.ts';
import { CLEARANCE_MM, cutPlan, planRequest } from './cutPlan.ts';
import { fitOfJob, latheOf, threadOfJob } from './derive.ts';
import { metalOf, threadExists, type Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { setupOf } from './setupView.ts';

/** What a control is told of this thread. */
export interface JobProgram {
  readonly lead: Rational;
  readonly surfaceMm: number;
  readonly threadMm: number;
  readonly rpm: number;
  readonly motion: Motion;
  /** As text in the control's own words; null: its lathe has no control that is described. */
  readonly text: (comments: readonly string[]) => string | null;
}
/** What is not said yet without which nothing can be told. */
export type ProgramMissing = 'surface' | 'length' | 'speed' | 'groove' | 'plan';
/** A program for a control, or what it wants first. */
export type ProgramAnswer =
  | { readonly ok: true; readonly program: JobProgram }
  | { readonly ok: false; readonly missing: readonly ProgramMissing[]; readonly problem: Problem | null };

const surfaceOf = (metal: Metal): number | null => metal.surfaceMm ?? metal.measuredMm;

/**
 * The passes still to cut as travels from the face, springs last; over an old groove they start where Pick up keyed it in.
 * @example programOfJob(demo('press'), shop) // null; nothing is named yet
 * @example programOfJob(demo('sluice'), shop).program.surfaceMm // 37.7698
 */
export function programOfJob(job: Job, shop: Shop): ProgramAnswer | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread || !fit || !lathe) return null;
  const metal = metalOf(job);
  // X is counted from what the control was told
  const surfaceMm = metal.toldMm ?? surfaceOf(metal);
  const { lengthMm, reliefMm } = job.setup;
  const rpm = setupOf(job, shop)?.rpm ?? null;
  const planned = cutPlan(job, planRequest(job, shop, metal));
  const passes = planned?.ok ? planned.value.passes : [];
  const missing: ProgramMissing[] = [
    ...(surfaceMm === null ? (['surface'] as const) : []),
    ...(lengthMm === null ? (['length'] as const) : []),
    ...(rpm === null ? (['speed'] as const) : []),
    // an electronic leadscrew is brought to the groove by hand, as any other
    ...(threadExists(job) && lathe.kind === 'control' && metal.startMm === null ? (['groove'] as const) : []),
  ];
  if (surfaceMm === null || lengthMm === null || rpm === null || missing.length > 0)
    return { ok: false, missing, problem: null };
  if (planned && !planned.ok) return { ok: false, missing: [], problem: planned.problem };
  const last = passes.at(-1);
  if (!last) return { ok: false, missing: ['plan'], problem: null };
  const lead = leadOf(thread);
  const leadMm = numberOf(lead);
  const form = threadFormOf(thread);
  const springs = Array.from({ length: job.cut.springs }, () => last);
  const motion = motionOf({
    member: fit.make,
    hand: thread.leftHand ? 'left' : 'right',
    leadMm,
    starts: thread.starts,
    taper: form.taper,
    surfaceMm,
    threadMm: lengthMm,
    reliefMm: reliefMm ?? 0,
    startLeads:
      // one at least, for a control wants its speed
      metal.startMm === null ? LEADS_BEFORE : Math.max(1, leadsClear(metal.startMm, leadMm, thread.leftHand, lengthMm)),
    grooveMm: metal.startMm,
    clearanceMm: 2 * CLEARANCE_MM,
    boreClearMm: fit.make === 'external' || job.setup.barMm === null ? null : surfaceMm - job.setup.barMm,
    passes: [...passes, ...springs].map((p) => ({ depthMm: p.depthMm, axialMm: p.axialMm })),
    rpm,
  });
  if (!motion.ok) return { ok: false, missing: [], problem: motion.problem };
  const { control } = lathe;
  return {
    ok: true,
    program: {
      lead,
      surfaceMm,
      threadMm: lengthMm,
      rpm,
      motion: motion.value,
      text: (comments) => control && programOf(motion.value, { ...control, rpm, leadMm, comments }),
    },
  };
}
