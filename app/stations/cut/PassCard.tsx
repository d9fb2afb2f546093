import { useEffect, useMemo, useRef, useState } from 'react';
import { Check, StepBack } from 'lucide-react';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { standingOfPart } from '../../../core/job/metal.ts';
import { passSteps } from '../../../core/job/passSteps.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { airText, dialText, motionsOf, outText, restText, slideText } from '../../../words/machine.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/keys.ts';
import { useWorking } from '../../ui/Working.tsx';
import { Groove } from './Groove.tsx';

/** How long Done stays shut after it was pressed: a knuckle bounces, an instrument sends twice. */
const SHUT_MS = 800;

/** One pass: what to set, on which slide; how to go through it; Done. */
export function PassCard() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { card, metal, plan, request } = machine;
  const lathe = latheOf(job, shop);
  const u = lathe?.crossSlide.unit ?? 'mm';
  const { shut, close } = useShut(card.after);
  const done = (): void => {
    if (shut.current) return;
    close();
    act(card.pass?.spring ? { do: 'springDone', after: card.after } : { do: 'passDone', after: card.after });
  };
  const keys = useKeysOf(done);
  useKeys(keys);
  const [setting, rest] = card.settings;
  const len = (mm: number): string => lengthText(mm, u, FINE);
  const show = useWorking(
    'pass',
    card.pass?.spring ? 'Spring pass' : `Pass ${card.pass?.n} of ${card.pass?.of}`,
    passSteps(machine, job.cut.rule),
  );
  const motions = motionsOf(
    machine,
    { make: job.intake.make, leftHand: threadOfJob(job)?.leftHand ?? false, returnBy: job.cut.returnBy },
    lathe,
  );
  const spring = card.pass?.spring === true;
  return (
    <section aria-label="Pass card" className="rounded-lg border-2 border-blue bg-panel">
      <JustDone />
      <div className="grid gap-x-6 p-4 md:grid-cols-[minmax(0,1fr)_14rem]">
        <div>
          <p className="flex flex-wrap items-baseline justify-between gap-x-4">
            <span className="text-[clamp(1.5rem,3.2vw,2.5rem)] font-bold">{setting ? slideText(setting) : ''}</span>
            <span className="num text-[clamp(1.5rem,3vw,2.25rem)] text-ink2">
              {setting?.unit}
              {setting?.reads === 'diameter' ? ' on diameter' : ''}
            </span>
          </p>
          <button
            type="button"
            className="flex flex-wrap items-center gap-x-4 text-left"
            aria-label={`Next reading ${setting ? dialText(setting, ' + ') : 'none'}; show the working`}
            onClick={show}
          >
            {setting && setting.turns !== 0 && (
              <span className="num flex size-24 shrink-0 flex-col items-center justify-center rounded-full border-4 border-ink text-5xl font-bold leading-none">
                {setting.turns}
                <span className="font-sans text-base font-semibold">turn{setting.turns === 1 ? '' : 's'}</span>
              </span>
            )}
            <span className="num text-[clamp(3.5rem,12.5vw,7.5rem)] font-bold leading-none tracking-tighter">
              {setting?.shown}
            </span>
          </button>
          {airText(card) && (
            <p
              role="alert"
              className="my-1 rounded-md border-2 border-brass bg-brasssoft px-3 py-2 text-xl font-semibold"
            >
              {airText(card)}
            </p>
          )}
          {rest && <p className="num mt-1 text-lg text-ink2">{restText(rest)}</p>}
          <p className="mt-1 text-xl">
            {spring
              ? `Spring pass ${card.pass?.n} of ${card.pass?.of}: same setting again`
              : `Pass ${card.pass?.n} of ${card.pass?.of}${job.cut.springs > 0 ? ` + ${job.cut.springs} spring` : ''}`}
            {!spring && card.expectsMetal && card.takesMm !== null && card.leftMm !== null && (
              <span className="num text-ink2">
                {' '}
                &middot; takes {len(card.takesMm)}, {len(card.leftMm)} to go
              </span>
            )}
          </p>
          <p className="mt-1 text-lg">{outText(card, job.intake.make, u)}</p>
        </div>
        {plan && request && (
          <Groove
            passes={plan.passes.filter((p) => !p.spring).map((p) => ({ depthMm: p.depthMm, axialMm: p.axialMm }))}
            doneMm={Math.max(metal.depthMm, metal.grooveMm ?? 0)}
            axialMm={metal.axialMm}
            request={request}
            internal={job.intake.make === 'internal'}
            leftHand={request.leftHand}
          />
        )}
      </div>
      <ol className="grid gap-1 border-t border-line bg-inset p-4 text-lg md:grid-cols-2">
        {motions.map((m, i) => (
          <li key={m} className="flex gap-2">
            <span className="num font-bold text-blue">{i + 1}</span> {m}
          </li>
        ))}
      </ol>
      <div className="sticky bottom-0 rounded-b-lg border-t border-line bg-panel p-3">
        <Button
          big
          tone="main"
          className="min-h-20 w-full text-2xl"
          aria-disabled={shut.on}
          onClick={done}
          data-shut={shut.on ? 'yes' : 'no'}
        >
          <Check aria-hidden /> {spring ? 'Spring pass done' : 'Done'}
        </Button>
      </div>
    </section>
  );
}

/** Keeps the button shut for a moment after it was pressed, and after the ledger moved under it: another window may have been first. */
function useShut(after: number) {
  const [on, setOn] = useState(false);
  const current = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const close = (): void => {
    current.current = true;
    setOn(true);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      current.current = false;
      setOn(false);
    }, SHUT_MS);
  };
  const seen = useRef(after);
  useEffect(() => {
    if (seen.current === after) return;
    seen.current = after;
    close();
  }, [after]);
  return {
    shut: {
      on,
      get current() {
        return current.current;
      },
    },
    close,
  };
}

function useKeysOf(done: () => void) {
  const latest = useRef(done);
  useEffect(() => {
    latest.current = done;
  });
  return useMemo(() => ({ d: () => latest.current() }), []);
}

/** What was done last stands large, with the way back. */
export function JustDone() {
  const { job, machine } = useJobView();
  const last = standingOfPart(job, machine.metal.part).findLast((e) => e.kind === 'cut' || e.kind === 'sprung');
  const n = last?.n ?? null;
  const keys = useMemo(() => (n === null ? {} : { b: () => void act({ do: 'void', of: n }) }), [n]);
  useKeys(keys);
  if (!last || (last.kind === 'cut' && last.assumedPasses !== null)) return null;
  const what = last.kind === 'sprung' ? `Spring pass ${machine.metal.springs} done` : `Pass ${machine.metal.cuts} done`;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3 rounded-t-md border-b border-line bg-gosoft px-4 py-2">
      <span role="status" className="text-2xl font-semibold">
        {what}
      </span>
      <Button big onClick={() => act({ do: 'void', of: last.n })}>
        <StepBack aria-hidden /> Back
      </Button>
    </div>
  );
}
