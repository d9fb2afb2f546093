import type { Part, Evidence } from '../../core/evidence/evidence.ts';
import type { Gearing } from '../../core/gearing/train.ts';
import type { Arm, Turning, MountedTrain } from '../../core/gearing/mounting/index.ts';
import type { OneGearShort } from '../../core/gearing/search/index.ts';
import type { Context } from '../../core/identify/hypotheses.ts';
import type { Ranking } from '../../core/identify/rank.ts';

interface RankQuery {
  readonly part: Part;
  readonly evidence: readonly Evidence[];
  readonly context: Context;
  readonly most: number;
}

/** As TrainRequest, exact values as text: big integers lose their class on the way. */
export interface TrainsQuery {
  readonly leadscrew: string;
  readonly target: string;
  readonly gears: readonly number[];
  readonly fixedRatio: string;
  readonly gearbox: readonly string[];
  readonly maxPairs: 1 | 2 | 3;
  readonly most: number;
  readonly perLead: number;
  /** Geometry to check the mountings with; null: not checked. */
  readonly arm: Arm | null;
  /** How many meshes the direction asks for; null: either. */
  readonly turning: Turning;
  /** What is on the lathe now. */
  readonly mounted: Gearing | null;
}

export interface CalcWorker {
  rank(query: RankQuery): Ranking;
  oneGearShort(query: TrainsQuery): readonly OneGearShort[];
  trains(
    query: TrainsQuery,
    onProgress?: (done: number) => void,
  ): { readonly trains: readonly MountedTrain[]; readonly lookedAtPpm: number | null };
}
