import type { StationId } from '../../core/job/schema.ts';
import type { ReactNode } from 'react';
import { useJobView } from './jobContext.tsx';
import { useShop, useSystem } from '../store/store.ts';
import { conclusion } from '../../words/conclusions.ts';
import { STATION_NAMES, becauseText, STATE_WORDS } from '../../words/stations.ts';
import { Note } from '../ui/controls.tsx';
import { Cautions } from '../ui/Cautions.tsx';
import { Terms } from '../ui/Terms.tsx';
import { TERMS } from '../../words/glossary.ts';
import { Circle, Check, RotateCw, Ban } from 'lucide-react';
import type { StationState } from '../../core/job/chain.ts';
import { OnActs } from './OnActs.tsx';

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
            <strong>Look at this again.</strong> {becauseText(state.because, system)}
          </Note>
        )}
        {state.kind === 'blocked' && (
          <Note tone="say">
            <strong>Waiting.</strong> {becauseText(state.because, system)}
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
