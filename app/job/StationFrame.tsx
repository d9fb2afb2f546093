import type { ReactNode } from 'react';
import { ArrowRight, Ban, Check, Circle, RotateCw } from 'lucide-react';
import { useNavigate } from 'react-router';
import { believedThread, notYet, type StationState } from '../../core/job/chain.ts';
import type { StationId } from '../../core/job/schema.ts';
import { conclusion } from '../../words/conclusions.ts';
import { becauseText, justOnText, onText, STATE_WORDS, STATION_NAMES } from '../../words/stations.ts';
import { useShop, useSystem } from '../store/store.ts';
import { TERMS } from '../../words/glossary.ts';
import { Cautions } from '../ui/Cautions.tsx';
import { Button, Note } from '../ui/controls.tsx';
import { Terms } from '../ui/Terms.tsx';
import { useJobView } from './jobContext.tsx';
import { neighbour, settle } from './settle.ts';

interface Props {
  readonly station: StationId;
  /** What this station decides, one plain sentence. */
  readonly lead: string;
  readonly children: ReactNode;
  /** Settling is done by the station's own act (accepting a name), or cannot be done yet. */
  readonly canSettle?: boolean;
  /** The work is one drawing that takes all the room there is. */
  readonly fill?: boolean;
  /** There is nothing to press in the work: it is scrolled by keyboard as a whole. */
  readonly toRead?: boolean;
  /** Narrow, the work comes before the acts: it is a drawing that one works on. */
  readonly drawnFirst?: boolean;
  /** What may be done here besides settling. */
  readonly acts?: ReactNode;
}

/** The desk: what is worked on at the left, and at the right what the station decides, its state and the act that goes on. */
export function StationFrame({
  station,
  lead,
  children,
  canSettle = true,
  fill = false,
  toRead = false,
  drawnFirst = fill,
  acts,
}: Props) {
  const { job, states } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const state = states[station];
  const answer = conclusion(station, job, shop, system);
  const work = (
    <div
      {...(toRead ? { tabIndex: 0, role: 'region', 'aria-label': STATION_NAMES[station] } : {})}
      className={`relative grid min-w-0 auto-rows-max grid-cols-[minmax(0,1fr)] gap-3 desk:overflow-y-auto ${fill ? 'desk:grid-rows-[minmax(min-content,1fr)]' : 'content-start'}`}
    >
      {children}
    </div>
  );
  return (
    <div className="grid gap-3 desk:h-full desk:grid-cols-[minmax(0,1fr)_22.25rem] desk:grid-rows-[minmax(0,1fr)]">
      {drawnFirst && work}
      <section
        aria-label="What it decides, and on"
        className="relative grid content-start gap-3 rounded-[4px] border border-edge bg-panel p-4 desk:order-2 desk:overflow-y-auto"
      >
        <header>
          <div className="flex items-baseline justify-between gap-3">
            <h1 tabIndex={-1} className="text-2xl outline-none">
              {STATION_NAMES[station]}
            </h1>
            <StateMark state={state} />
          </div>
          <p className="text-ink2">{lead}</p>
        </header>
        {state.kind === 'stale' && (
          <Note tone="again">
            <strong>Look at this again.</strong> {becauseText(state.because)}
          </Note>
        )}
        {state.kind === 'blocked' && (
          <Note tone="say">
            <strong>Waiting.</strong> {becauseText(state.because)}
          </Note>
        )}
        {answer !== null && state.kind !== 'blocked' && (
          <p className="text-xl font-semibold leading-snug" data-answer>
            {answer}
          </p>
        )}
        <OnActs station={station} canSettle={canSettle} />
        {acts}
        <Cautions station={station} />
        <Terms terms={TERMS[station]} />
      </section>
      {!drawnFirst && work}
    </div>
  );
}

/** The mark of each state, on the band and beside the heading alike. */
export const STATE_ICONS = { open: Circle, settled: Check, stale: RotateCw, blocked: Ban } as const;
const TONE = { open: 'text-ink2', settled: 'text-go', stale: 'text-look', blocked: 'text-ink2' } as const;

/** A state is a mark and a word; it can never be pressed. */
export function StateMark({ state }: { readonly state: StationState }) {
  const Icon = STATE_ICONS[state.kind];
  return (
    <span className={`flex shrink-0 items-center gap-1 font-semibold ${TONE[state.kind]}`}>
      <Icon aria-hidden size={18} strokeWidth={2.6} /> {STATE_WORDS[state.kind]}
    </span>
  );
}

/** The act that goes on, by what it does. */
export function OnActs({
  station,
  canSettle,
  big = false,
}: {
  readonly station: StationId;
  readonly canSettle: boolean;
  readonly big?: boolean;
}) {
  const { job, states, top } = useJobView();
  const shop = useShop();
  const navigate = useNavigate();
  const state = states[station];
  const next = neighbour(job, station, 1);
  const why = notYet(station, job, shop);
  const go = (): void => {
    if (next) void navigate(`/jobs/${job.id}/${next}`);
  };
  const can = canSettle && why === null && state.kind !== 'blocked' && state.kind !== 'settled';
  if (!can)
    return next ? (
      <Button
        tone={state.kind === 'settled' ? 'main' : 'plain'}
        className={big ? 'bar-main w-full text-2xl' : 'w-full'}
        onClick={go}
      >
        {justOnText(next)} <ArrowRight aria-hidden size={20} />
      </Button>
    ) : null;
  return (
    <Button
      tone="main"
      className={big ? 'bar-main w-full text-3xl' : 'min-h-14 w-full text-lg'}
      onClick={() => {
        if (settle(station, believedThread(job, top)) === null) go();
      }}
    >
      <Check aria-hidden size={20} /> {onText(station, next, state.kind === 'stale')}
    </Button>
  );
}
