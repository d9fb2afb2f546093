import { Link } from 'react-router';
import { missingFacts } from '../../../core/lathe/unconfirmed.ts';
import { latheUnknownText } from '../../../words/lathe.ts';
import { engagedOf, gearState, latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import { isGeared, type Lathe } from '../../../core/lathe/schema.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact, shortText, textOf } from '../../../core/quantity/rational.ts';
import { leadOf, pitchMmOf, threadFormOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { Audit } from './Audit.tsx';
import { Electronic } from './Electronic.tsx';
import { Proof } from './Proof.tsx';
import { TrainCard } from './TrainCard.tsx';
import { takeTrain } from './trainQuery.ts';
import { TrainSearch } from './TrainSearch.tsx';

export function Gears() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread)
    return (
      <StationFrame station="gears" lead="How the lathe is made to cut this lead." canSettle={false}>
        {null}
      </StationFrame>
    );
  const missing = lathe ? missingFacts(lathe) : [];
  const unknown = lathe && missing.length > 0 ? latheUnknownText(lathe.name, missing) : null;
  return (
    <StationFrame
      station="gears"
      lead={`How the lathe is made to cut a lead of ${pitchText(leadOf(thread), system)}.`}
      canSettle={gearState(job, shop)?.lead != null}
    >
      <WhichLathe />
      {lathe && !isGeared(lathe) && <Electronic thread={thread} />}
      {lathe && unknown && (
        <Note tone="wrong">
          {unknown.what}{' '}
          <Link className="underline" to={`/lathes/${lathe.id}`}>
            {unknown.check}
          </Link>
        </Note>
      )}
      {lathe && isGeared(lathe) && !lathe.unconfirmed.includes('leadscrew') && (
        <ChangeGears thread={thread} lathe={lathe} />
      )}
      <p className="text-sm text-ink2">
        Pitch {lengthText(pitchMmOf(thread), system, FINE)},{' '}
        {thread.starts === 1 ? 'single start' : `${thread.starts} starts`}; lead {shortText(leadOf(thread))} mm.
      </p>
    </StationFrame>
  );
}

function WhichLathe() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  return (
    <Panel title="Lathe">
      <div className="grid gap-3 md:grid-cols-[1fr_14rem]">
        <Choice
          label="Which lathe"
          value={job.gears.lathe ?? ''}
          options={shop.lathes.map((l) => ({ value: l.id, label: l.name }))}
          onChange={(v) => act({ do: 'chooseLathe', lathe: v })}
        />
        <LengthField
          label="Engaged length"
          mm={job.fit.engagementMm}
          system={system}
          rule={{ maxMm: 5000 }}
          placeholder={lengthText(engagedOf(job), system)}
          onClear={() => act({ do: 'setFit', engagementMm: null })}
          onCommit={(mm) => act({ do: 'setFit', engagementMm: mm })}
          hint={job.fit.engagementMm === null ? 'not given: this length is taken' : undefined}
        />
      </div>
    </Panel>
  );
}

function ChangeGears({ thread, lathe }: { readonly thread: ThreadSpec; readonly lathe: Lathe }) {
  const { job } = useJobView();
  const shop = useShop();
  const state = gearState(job, shop);
  const form = threadFormOf(thread);
  const flanks = [form.leadingFlankDeg, form.trailingFlankDeg] as const;
  const { train } = job.gears;
  return (
    <>
      <Proven thread={thread} lathe={lathe} />
      <TrainSearch thread={thread} lathe={lathe} flanks={flanks} />
      {train && state?.lead && state.errorPpm !== null && (
        <>
          <TrainCard
            thread={thread}
            lathe={lathe}
            train={train}
            lead={state.lead}
            errorPpm={state.errorPpm}
            flanks={flanks}
          />
          <Proof lathe={lathe} lead={state.lead} train={train} />
        </>
      )}
      <Audit lathe={lathe} />
    </>
  );
}

/** Trains that have cut this lead on this lathe before. */
function Proven({ thread, lathe }: { readonly thread: ThreadSpec; readonly lathe: Lathe }) {
  const system = useSystem();
  const target = textOf(leadOf(thread));
  const proven = lathe.proven.filter((p) => p.leadMm === target);
  if (proven.length === 0) return null;
  return (
    <Panel title="Proven on this lathe">
      <ul className="grid gap-2">
        {proven.map((p) => (
          <li key={p.at} className="flex flex-wrap items-center justify-between gap-2">
            <span>
              <span className="num font-semibold">{trainText(p.train)}</span> cut {pitchText(exact(p.leadMm), system)}{' '}
              on: {p.job}
            </span>
            <Button onClick={() => takeTrain(p.train)}>Take it again</Button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
