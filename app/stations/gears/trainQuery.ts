import { leversGiving } from '../../../core/job/gearSetting.ts';
import type { Geared } from '../../../core/gearing/train.ts';
import { armOf, turningFor, TRIED_FOR_EACH } from '../../../core/gearing/mounting/index.ts';
import { gearboxRatios } from '../../../core/gearing/gearbox/index.ts';
import { threadOfJob } from '../../../core/job/derive.ts';
import { pitchOfCount } from '../../../core/job/evidence.ts';
import type { Job } from '../../../core/job/schema.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { isMetricPitch, isTpiPitch } from '../../../core/quantity/pitch.ts';
import { textOf } from '../../../core/quantity/rational.ts';
import { leadOf, pitchOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { act } from '../../store/store.ts';
import type { TrainsQuery } from '../../workers/protocol.ts';

/** Leads searched, before they are weighed. */
const SEARCHED = 14;

/** The question for this thread on a lathe with change gears. */
export function trainsQuery(thread: ThreadSpec, lathe: Lathe, maxPairs: 1 | 2 | 3): TrainsQuery {
  return {
    leadscrew: lathe.leadscrew,
    target: textOf(leadOf(thread)),
    gears: lathe.gears,
    fixedRatio: lathe.fixedRatio,
    gearbox: gearboxRatios(lathe.levers).map((g) => g.ratio),
    maxPairs,
    most: SEARCHED,
    perLead: TRIED_FOR_EACH,
    arm: armOf(lathe),
    turning: turningFor(lathe, thread.leftHand),
    mounted: lathe.mounted,
  };
}

export const takeTrain = (t: Geared) =>
  act({ do: 'takeTrain', train: { drivers: [...t.drivers], driven: [...t.driven], gearbox: t.gearbox } });

/** What a setting of the levers is called on this lathe. */
export const leverName = (lathe: Lathe, ratio: string): string => leversGiving(lathe, ratio) ?? ratio;

/** How finely a measured pitch is known, ppm, from its surest count; null for a thread named by standard or round numbers. */
export function measuredPitchPpm(job: Job): number | null {
  const thread = threadOfJob(job);
  if (thread?.family !== 'Special' || isTpiPitch(pitchOf(thread)) || isMetricPitch(pitchOf(thread))) return null;
  const shares = job.readings
    .filter((r) => r.quantity === 'crestCount')
    .flatMap((r) => {
      const pitch = pitchOfCount(r);
      return pitch ? [pitch.sigmaMm / pitch.mm] : [];
    });
  return shares.length > 0 ? Math.min(...shares) * 1e6 : null;
}
