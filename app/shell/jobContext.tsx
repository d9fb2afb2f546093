import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { stationStates, type StationState } from '../../core/job/chain.ts';
import { evidenceOfJob, partOf } from '../../core/job/evidence.ts';
import type { Job, StationId } from '../../core/job/schema.ts';
import type { Ranking } from '../../core/identify/rank.ts';
import { specialThread, type ThreadSpec } from '../../core/standards/thread.ts';
import { INCH_MM, exact, rationalFromNumber, type Rational } from '../../core/quantity/rational.ts';
import { useAppSelector, useShop } from '../store/store.ts';
import { useCalc } from '../workers/client.ts';

interface JobView {
  readonly job: Job;
  readonly ranking: Ranking | null;
  readonly rankingPending: boolean;
  readonly rankingFailed: string | null;
  /** Likeliest thread now: a published row, or the special when that is likelier. */
  readonly top: ThreadSpec | null;
  readonly states: Readonly<Record<StationId, StationState>>;
}
const Context = createContext<JobView | null>(null);

/** How many candidates are asked for: what a person can look over. */
const CANDIDATES = 8;

/** The open job with everything derived from it that more than one place shows. */
export function JobProvider({ children }: { readonly children: ReactNode }) {
  const job = useAppSelector((s) => s.work.job?.present ?? null);
  if (!job) return null;
  return <WithJob job={job}>{children}</WithJob>;
}

function WithJob({ job, children }: { readonly job: Job; readonly children: ReactNode }) {
  const shop = useShop();
  const evidence = useMemo(() => evidenceOfJob(job), [job]);
  const query = {
    part: partOf(job),
    evidence,
    context: { origin: job.intake.origin, use: job.intake.use },
    most: CANDIDATES,
  };
  const answered = useCalc(evidence.length === 0 ? null : JSON.stringify(query), (w) => w.rank(query));
  const ranking = answered.value;
  const top = useMemo(() => (ranking ? topOf(ranking) : null), [ranking]);
  const states = useMemo(
    () =>
      stationStates(
        job,
        shop,
        top ?? (answered.pending ? ((job.name?.thread as ThreadSpec | undefined) ?? null) : null),
      ),
    [job, shop, top, answered.pending],
  );
  const value = useMemo(
    () => ({ job, ranking, rankingPending: answered.pending, rankingFailed: answered.failed, top, states }),
    [job, ranking, answered.pending, answered.failed, top, states],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useJobView(): JobView {
  const view = useContext(Context);
  if (!view) throw new Error('used outside an open job');
  return view;
}

/** A measured pitch as something a lathe can be set for: a round number of threads per inch or of hundredths. */
function cutablePitch(pitchMm: number, system: 'mm' | 'in', nominal: boolean): Rational {
  if (!nominal) return rationalFromNumber(Number(pitchMm.toFixed(3)));
  if (system === 'in' || Math.abs(pitchMm * 1000 - Math.round(pitchMm * 1000)) > 1e-6) {
    const tpi = 25.4 / pitchMm;
    if (Math.abs(tpi * 4 - Math.round(tpi * 4)) < 1e-6) return INCH_MM.div(exact(`${Math.round(tpi * 4)}/4`));
  }
  return rationalFromNumber(Number(pitchMm.toFixed(5)));
}

export function specialOf(ranking: Ranking): ThreadSpec {
  const s = ranking.special;
  const size = s.nominal ? s.majorMm : Number(s.majorMm.toFixed(2));
  const deg = (x: number): number => (s.nominal ? x : Math.round(x * 4) / 4);
  return specialThread({
    majorMm: size,
    sizeSystem: s.sizeSystem,
    pitch: cutablePitch(s.pitchMm, s.sizeSystem, s.nominal),
    flanks: s.leadingDeg === s.trailingDeg ? deg(2 * s.leadingDeg) : [deg(s.leadingDeg), deg(s.trailingDeg)],
    starts: s.starts,
  });
}

const topOf = (ranking: Ranking): ThreadSpec | null => {
  const best = ranking.candidates[0];
  if (best && best.probability >= ranking.special.probability) return best.thread;
  return specialOf(ranking);
};
