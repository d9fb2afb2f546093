import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem, act } from '../../store/store.ts';
import { threadOfJob, latheOf, gearState, engagedOf } from '../../../core/job/derive.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { jointView } from '../../../core/job/jointView.ts';
import { metalOf } from '../../../core/job/metal.ts';
import { missingFacts } from '../../../core/lathe/unconfirmed.ts';
import { latheUnknownText } from '../../../words/lathe.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { leadOf, pitchMmOf, type ThreadSpec, threadFormOf } from '../../../core/standards/thread.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Link } from 'react-router';
import { isGeared, type Lathe } from '../../../core/lathe/schema.ts';
import { Audit } from './Audit.tsx';
import { jointText } from '../../../words/oldPart.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { shortText } from '../../../core/quantity/rational.ts';
import { Electronic } from './Electronic.tsx';
import { scheduleAsLearned } from './asLearned.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TrainSearch } from './TrainSearch.tsx';
import { TrainCard } from './TrainCard.tsx';
import { Tray } from '../../drawing/Tray.tsx';
import { Proven } from './Proven.tsx';

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
  const joint = jointView(job, shop, metalOf(job));
  const missing = lathe ? missingFacts(lathe) : [];
  const unknown = lathe && missing.length > 0 ? latheUnknownText(lathe.name, missing) : null;
  return (
    <StationFrame
      station="gears"
      lead={`How the lathe is made to cut a lead of ${pitchText(leadOf(thread), system)}.`}
      canSettle={gearState(job, shop)?.lead != null}
      fill={job.gears.train !== null}
      drawnFirst={false}
      acts={
        <>
          <WhichLathe />
          {lathe && unknown && (
            <Note tone="wrong">
              {unknown.what}{' '}
              <Link className="underline" to={`/lathes/${lathe.id}`}>
                {unknown.check}
              </Link>
            </Note>
          )}
          {lathe && isGeared(lathe) && !lathe.unconfirmed.includes('leadscrew') && (
            <>
              <Proven thread={thread} lathe={lathe} />
              <Audit lathe={lathe} />
            </>
          )}
          {joint?.old && <Note tone={joint.told ? 'caution' : 'say'}>{jointText(joint, system)[0]}</Note>}
          <p className="text-sm text-ink2">
            Pitch {lengthText(pitchMmOf(thread), system, FINE)},{' '}
            {thread.starts === 1 ? 'single start' : `${thread.starts} starts`}; lead {shortText(leadOf(thread))} mm.
          </p>
        </>
      }
    >
      {lathe && !isGeared(lathe) && <Electronic thread={thread} />}
      {lathe && isGeared(lathe) && !lathe.unconfirmed.includes('leadscrew') && (
        <ChangeGears thread={thread} lathe={lathe} />
      )}
    </StationFrame>
  );
}

function WhichLathe() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  return (
    <section aria-label="Lathe" className="grid gap-3 border-t border-line pt-3">
      <Choice
        label="Which lathe"
        value={job.gears.lathe ?? ''}
        options={shop.lathes.map((l) => ({ value: l.id, label: l.name }))}
        onChange={(v) => {
          act({ do: 'chooseLathe', lathe: v });
          // what was learned on it is a proposal: the choice stands without it
          void scheduleAsLearned().catch(() => undefined);
        }}
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
    </section>
  );
}

function ChangeGears({ thread, lathe }: { readonly thread: ThreadSpec; readonly lathe: Lathe }) {
  const { job } = useJobView();
  const shop = useShop();
  const state = gearState(job, shop);
  const form = threadFormOf(thread);
  const { train } = job.gears;
  const chosen =
    train && state?.lead && state.errorPpm !== null ? { train, lead: state.lead, ppm: state.errorPpm } : null;
  return (
    <div
      className={`grid content-start gap-3 ${chosen ? 'lg:grid-cols-[24rem_minmax(0,1fr)] desk:min-h-0 desk:grid-rows-[minmax(0,1fr)]' : ''}`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3 desk:overflow-y-auto">
        <TrainSearch thread={thread} lathe={lathe} flanks={form} />
      </div>
      {chosen && (
        <div className="grid min-w-0 content-start gap-3 desk:overflow-y-auto">
          <TrainCard
            thread={thread}
            lathe={lathe}
            train={chosen.train}
            lead={chosen.lead}
            errorPpm={chosen.ppm}
            flanks={form}
          />
          <Tray gears={lathe.gears} used={[...chosen.train.drivers, ...chosen.train.driven]} />
        </div>
      )}
    </div>
  );
}
