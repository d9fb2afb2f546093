import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { latheOf } from '../../core/job/derive.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { machineOf, type Machine } from '../../core/job/machine.ts';
import { stationStates, type StationState } from '../../core/job/chain.ts';
import { evidenceOfJob, partOf } from '../../core/job/evidence.ts';
import { likeliest } from '../../core/job/special.ts';
import type { Job, StationId } from '../../core/job/schema.ts';
import type { Ranking } from '../../core/identify/rank.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
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
  /** The metal, the card and the way into a groove: what the stations at the machine show. */
  readonly machine: Machine;
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
  const top = useMemo(() => (ranking ? likeliest(ranking, job) : null), [ranking, job]);
  const states = useMemo(
    () => stationStates(job, shop, top ?? (answered.pending ? (job.name?.thread ?? null) : null)),
    [job, shop, top, answered.pending],
  );
  const machine = useMemo(() => machineOf(job, shop, states), [job, shop, states]);
  const value = useMemo(
    () => ({ job, ranking, rankingPending: answered.pending, rankingFailed: answered.failed, top, states, machine }),
    [job, ranking, answered.pending, answered.failed, top, states, machine],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useJobView(): JobView {
  const view = useContext(Context);
  if (!view) throw new Error('used outside an open job');
  return view;
}

/** The unit of the cross slide's dial on this job's lathe: at the machine everything is said in it. Without a lathe the shop's. */
export function useDialUnit(): UnitSystem {
  const { job } = useJobView();
  const shop = useShop();
  return latheOf(job, shop)?.crossSlide.unit ?? shop.settings.system;
}
