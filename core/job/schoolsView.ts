import type { DepthRule } from '../cutting/depths.ts';
import type { PassLoad } from '../cutting/load.ts';
import type { Infeed } from '../cutting/plan.ts';
import { flanksUnderTool } from '../cutting/underTool.ts';
import { threadFormOf } from '../standards/thread.ts';
import { feedsAtAngle } from './feed.ts';
import { slideAngleFor } from './defaults.ts';
import { threadOfJob } from './derive.ts';
import { kept } from '../keep/keep.ts';
import { loadsOf } from './loads.ts';
import type { Job, Shop } from './schema.ts';

/** A way of going about the cut, as it would come out for this job. */
export interface School {
  readonly infeed: Infeed;
  readonly rule: DepthRule;
  readonly passes: number;
  /** Infeed of the last pass that cuts, mm. */
  readonly lastMm: number;
  /** At the last pass that cuts. */
  readonly end: PassLoad;
  /** The hardest pass of all, N. */
  readonly mostN: number;
  /** It is the one chosen. */
  readonly chosen: boolean;
}

export { USUAL_STAGES } from '../cutting/stages.ts';

/** The ways of feeding, and equal force beside them. */
const WAYS: readonly (readonly [Infeed, DepthRule | null])[] = [
  ['plunge', null],
  ['flank', null],
  ['modified', null],
  ['alternate', null],
  ['flank', 'constant-force'],
];

/**
 * The main schools side by side for this job; none where nothing can be planned, or the material's force is not known.
 * @example schoolsOf(demo('pump'), shop).length // 5
 */
export const schoolsOf = kept((job: Job, shop: Shop): School[] => {
  const thread = threadOfJob(job);
  if (!thread) return [];
  const { trailingDeg } = flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand });
  const shares = job.cut.rule === 'constant-force' ? 'constant-area' : job.cut.rule;
  return WAYS.flatMap(([infeed, rule]) => {
    // a flank as steep as a square thread's cannot be followed
    if (infeed !== 'plunge' && trailingDeg < 1) return [];
    const slideAngleDeg = feedsAtAngle(infeed)
      ? infeed === job.setup.infeed
        ? job.setup.slideAngleDeg
        : slideAngleFor(infeed, trailingDeg)
      : job.setup.slideAngleDeg;
    const so: Job = {
      ...job,
      setup: { ...job.setup, infeed, slideAngleDeg },
      cut: { ...job.cut, rule: rule ?? shares, stages: null, straightLastMm: 0 },
    };
    const passes = loadsOf(so, shop).filter((p) => !p.spring);
    const last = passes.at(-1);
    if (!last) return [];
    return [
      {
        infeed,
        rule: rule ?? shares,
        passes: passes.length,
        lastMm: last.depthMm - (passes.at(-2)?.depthMm ?? 0),
        end: last,
        mostN: Math.max(...passes.map((p) => p.mainN)),
        chosen: infeed === job.setup.infeed && (rule ?? shares) === job.cut.rule,
      },
    ];
  });
});
