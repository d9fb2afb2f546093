import { slopeOf } from '../form/flanks.ts';
import { jointOf, oldLeadOf, type Joint, type OldLead } from '../pickup/joint.ts';
import { numberOf } from '../quantity/rational.ts';
import { plain, type Step } from '../quantity/working.ts';
import { threadFormOf } from '../standards/thread.ts';
import { gearState, threadOfJob } from './derive.ts';
import type { Metal } from './metal.ts';
import { mateInHand } from './measure.ts';
import type { Job, Shop } from './schema.ts';

/** Each end of a length over crests is read to so much with a caliper, mm. Common practice, no source. */
const READ_MM = 0.03;

/** How an old thread and what is cut on to it meet. */
export interface JointView {
  /** From crests counted over a length of the old thread; null: not measured. */
  readonly old: OldLead | null;
  readonly latheLeadMm: number;
  /** The old lead against the lathe's, ppm, and whether that is more than its reading can tell. */
  readonly ppm: number | null;
  readonly told: boolean;
  readonly overMm: number | null;
  readonly nutMm: number | null;
  /** Null: the lead is not measured, or it is not said how far the tool runs in. */
  readonly joint: Joint | null;
  readonly working: readonly Step[];
}

/** So many standard uncertainties are a difference. */
const TOLD = 2;

/**
 * Lead of the old part, and the mismatch over the joint. Null: no thread is named, or nothing says what lead is cut.
 * @example jointView(demo('press'), shop, metal(demo('press'))) // null
 * @example jointView(demo('sluice'), shop, metal(demo('sluice'))).latheLeadMm // 7.2571
 */
export function jointView(job: Job, shop: Shop, metal: Metal): JointView | null {
  const thread = threadOfJob(job);
  const lead = gearState(job, shop)?.lead;
  if (!thread || !lead) return null;
  const latheLeadMm = numberOf(lead);
  const read = metal.oldLead;
  const old = read && oldLeadOf(read.spanMm, read.pitches, thread.starts, READ_MM);
  const nutMm = mateInHand(job)?.lengthMm ?? job.fit.engagementMm;
  const { overMm } = job.pickup;
  const joint =
    old && overMm !== null ? jointOf(old.leadMm, latheLeadMm, overMm, nutMm, slopeOf(threadFormOf(thread))) : null;
  const per = old ? old.leadMm / latheLeadMm - 1 : null;
  const working: Step[] = [];
  if (old && read)
    working.push({
      name: 'Lead of the old thread',
      symbol: 'L\u2080',
      formula: 'length \u00d7 starts / pitches',
      values: `${plain(read.spanMm)} \u00d7 ${thread.starts} / ${read.pitches}`,
      result: old.leadMm,
      unit: 'mm',
      source: 'crests counted; each end read to 0.03 mm, common practice, no source',
    });
  if (joint && overMm !== null && per !== null)
    working.push({
      name: 'Off at either end, split in the middle',
      symbol: 's',
      formula: '|L / L\u2080 \u2212 1| \u00d7 run over / 2',
      values: `${plain(Math.abs(joint.perMm))} \u00d7 ${plain(overMm)} / 2`,
      result: joint.splitMm,
      unit: 'mm',
      source: 'geometry',
    });
  return {
    old,
    latheLeadMm,
    ppm: per === null ? null : per * 1e6,
    told: old !== null && per !== null && Math.abs(per) > (TOLD * old.sigmaMm) / old.leadMm,
    overMm,
    nutMm,
    joint,
    working,
  };
}
