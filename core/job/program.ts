import { programOf } from '../motion/iso6983.ts';
import { LEADS_BEFORE, motionOf, type Motion } from '../motion/motion.ts';
import type { Problem } from '../quantity/outcome.ts';
import { numberOf, type Rational } from '../quantity/rational.ts';
import { leadOf, threadFormOf } from '../standards/thread.ts';
import { CLEARANCE_MM, cutPlan, planRequest } from './cutPlan.ts';
import { fitOfJob, latheOf, threadOfJob } from './derive.ts';
import { metalOf } from './metal.ts';
import { recutting } from './recut.ts';
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
export type ProgramAnswer =
  | { readonly ok: true; readonly program: JobProgram }
  | { readonly ok: false; readonly missing: readonly ProgramMissing[]; readonly problem: Problem | null };

/**
 * The passes still to cut as travels from the face, springs last. @param grooveMm over an old groove, Z at which the tip sat in it
 * with the spindle at its mark
 */
export function programOfJob(job: Job, shop: Shop, grooveMm: number | null): ProgramAnswer | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread || !fit || !lathe) return null;
  const metal = metalOf(job);
  const surfaceMm = metal.surfaceMm ?? metal.measuredMm ?? null;
  const { lengthMm, reliefMm } = job.setup;
  const rpm = setupOf(job, shop)?.rpm ?? null;
  const planned = cutPlan(job, planRequest(job, shop, metal));
  const passes = planned?.ok ? planned.value.passes : [];
  const missing: ProgramMissing[] = [
    ...(surfaceMm === null ? (['surface'] as const) : []),
    ...(lengthMm === null ? (['length'] as const) : []),
    ...(rpm === null ? (['speed'] as const) : []),
    ...(recutting(job) && grooveMm === null ? (['groove'] as const) : []),
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
    startLeads: LEADS_BEFORE,
    grooveMm,
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
