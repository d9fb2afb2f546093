import { type Flanks } from '../../../core/form/flanks.ts';
import { lookedAtText, mountText } from '../../../words/gears.ts';
import { useState } from 'react';
import { pitchErrorEffect, shareEaten, hopeless, worthShowing } from '../../../core/gearing/proof/index.ts';
import { orderByShopRule, asGoodAsMeasured, meritOf } from '../../../core/gearing/search/index.ts';
import type { MountedTrain } from '../../../core/gearing/mounting/index.ts';
import { engagedOf } from '../../../core/job/derive.ts';
import { gearsToChange, sameGears } from '../../../core/gearing/train.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { lengthText, percentText, ppmText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact } from '../../../core/quantity/rational.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note, Panel } from '../../ui/controls.tsx';
import { Copied } from '../../ui/Copy.tsx';
import { useRows } from '../../ui/keys.ts';
import { stopCalc, useCalc, type Answered } from '../../workers/client.ts';
import { leverName, measuredPitchPpm, takeTrain, trainsQuery } from './trainQuery.ts';
import { Weigh } from './Weigh.tsx';

const SHOWN = 9;

interface Props {
  readonly thread: ThreadSpec;
  readonly lathe: Lathe;
  readonly flanks: Flanks;
}

/** Every train of the gears owned, weighed and put in order; taken with its number. */
export function TrainSearch({ thread, lathe, flanks }: Props) {
  const { job } = useJobView();
  const shop = useShop();
  const [maxPairs, setMaxPairs] = useState<'1' | '2' | '3'>('2');
  const query = trainsQuery(thread, lathe, Number(maxPairs) as 1 | 2 | 3);
  const answered = useCalc(JSON.stringify(query), (w, onProgress) => w.trains(query, onProgress), true);
  const measuredPpm = measuredPitchPpm(job);
  const trains = worthShowing(answered.value?.trains ?? [])
    .map((t) => ({
      ...t,
      merit: meritOf(
        asGoodAsMeasured(t, measuredPpm),
        t.mount,
        {
          engagementMm: engagedOf(job),
          flanks,
          clearanceMm: job.fit.pitchClearanceMm,
          mounted: lathe.mounted,
        },
        shop.settings.gearWeights,
      ),
    }))
    .sort((a, b) => a.merit.total - b.merit.total)
    .slice(0, SHOWN);
  useRows();
  const near = answered.value?.trains[0];
  return (
    <>
      {answered.failed !== null && (
        <Note tone="wrong">
          The search failed: {answered.failed}. <Button onClick={answered.again}>Search again</Button>
        </Note>
      )}
      <Panel title="Trains, best first" aside={<SearchState answered={answered} any={trains.length > 0} />}>
        <Choice
          label="Up to"
          value={maxPairs}
          options={[
            { value: '1', label: 'one pair' },
            { value: '2', label: 'two pairs' },
            { value: '3', label: 'three pairs' },
          ]}
          onChange={setMaxPairs}
        />
        {trains.length > 0 ? (
          <Copied>
            <TrainTable trains={trains} lathe={lathe} flanks={flanks} />
          </Copied>
        ) : (
          !answered.pending &&
          !answered.stopped && <p className="text-ink2">This set makes no train. Enter the gears owned under Lathes.</p>
        )}
        {trains[0] && hopeless(trains[0].errorPpm) && (
          <Note tone="wrong">
            None of these gears comes within one part in a hundred: no nut of the right lead goes on what they cut. The
            nearest stands above only to say so.
          </Note>
        )}
        {measuredPpm !== null && (
          <p className="mt-3">
            This pitch was measured, to about {Math.round(measuredPpm)} ppm: any train within that is as good as exact,
            and they are ordered by the rest.
          </p>
        )}
        {near && near.errorPpm !== 0 && <OneGearShort thread={thread} lathe={lathe} />}
        <Weigh />
      </Panel>
    </>
  );
}

function SearchState({
  answered,
  any,
}: {
  readonly answered: Answered<{ readonly lookedAtPpm: number | null }>;
  readonly any: boolean;
}) {
  return (
    <span className="flex items-center gap-2 text-sm text-ink2" aria-live="polite">
      {answered.pending ? (
        <>
          <progress aria-label="Searching" {...(answered.done === null ? {} : { value: answered.done })} />
          <Button onClick={stopCalc}>Stop</Button>
        </>
      ) : answered.stopped ? (
        <>
          stopped before every train was tried <Button onClick={answered.again}>Search again</Button>
        </>
      ) : any ? (
        lookedAtText(answered.value?.lookedAtPpm ?? null)
      ) : (
        ''
      )}
    </span>
  );
}

/** The single gear most worth buying or making. */
function OneGearShort({ thread, lathe }: Omit<Props, 'flanks'>) {
  const query = trainsQuery(thread, lathe, 2);
  const short = useCalc(`short ${JSON.stringify(query)}`, (w) => w.oneGearShort({ ...query, arm: null, perLead: 1 }));
  if (!short.value || short.value.length === 0) return null;
  return (
    <p className="mt-3">
      One gear short:{' '}
      {short.value.map((s, i) => (
        <span key={s.teeth}>
          {i > 0 && '; '}
          with a <strong className="num">{s.teeth}</strong> you would get {ppmText(s.train.errorPpm)} (
          <span className="num">{trainText(s.train)}</span>)
        </span>
      ))}
      .
    </p>
  );
}

function TrainTable({
  trains,
  lathe,
  flanks,
}: {
  readonly trains: readonly MountedTrain[];
  readonly lathe: Lathe;
  readonly flanks: Flanks;
}) {
  const { job } = useJobView();
  const system = useSystem();
  const boxed = Object.keys(lathe.levers).length > 0;
  const engagementMm = engagedOf(job);
  return (
    <table className="mt-2 w-full text-left">
      <thead>
        <tr className="text-sm text-ink2">
          <th className="font-normal">Drivers / driven</th>
          <th className="pl-2 text-right font-normal">Over {lengthText(engagementMm, system)}</th>
          <th>
            <span className="sr-only">Take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {trains.map((t) => {
          const isIt = job.gears.train !== null && sameGears(job.gears.train, t);
          const effect = pitchErrorEffect(t.errorPpm, engagementMm, flanks);
          const share = shareEaten(effect, job.fit.pitchClearanceMm);
          return (
            <tr
              key={trainText(t) + t.gearbox}
              className={`border-t border-line align-top ${isIt ? 'bg-inset shadow-[inset_6px_0_var(--ink)]' : ''}`}
            >
              <td className={`py-1.5 ${isIt ? 'pl-3' : ''}`}>
                <span className="num block text-[17px] font-semibold xs:whitespace-nowrap">{trainText(t)}</span>
                {boxed && <span className="block text-sm">{leverName(lathe, t.gearbox)}</span>}
                <span className="num block text-sm xs:whitespace-nowrap">
                  {pitchText(exact(t.leadMm), system)}
                  {t.errorPpm !== 0 && `, ${ppmText(t.errorPpm)}`}
                </span>
                <span className="block text-sm">
                  <OnTheArm train={t} />
                  <span className="text-ink2">
                    , <span>{gearsToChange(t, lathe.mounted)} to change</span>
                  </span>
                </span>
              </td>
              <td className="py-1.5 pl-2 text-right">
                <span className={`num block text-[17px] xs:whitespace-nowrap ${t.errorPpm === 0 ? 'text-go' : ''}`}>
                  {t.errorPpm === 0
                    ? 'exact'
                    : lengthText(Math.abs(effect.mismatchMm), system, { stepMm: 0.0001, stepIn: 0.00001 })}
                </span>
                {t.errorPpm !== 0 && share !== null && (
                  <span className="block text-sm text-ink2">{percentText(share)} of the clearance</span>
                )}
              </td>
              <td className="w-[1%] py-1.5 pl-2 text-right">
                {isIt ? (
                  <span className="font-semibold text-go">chosen</span>
                ) : (
                  <Button data-row aria-label={`Take ${trainText(t)}`} className="px-3" onClick={() => takeTrain(t)}>
                    Take
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function OnTheArm({ train }: { readonly train: MountedTrain }) {
  const { mount } = train;
  const system = useSystem();
  if (mount === null)
    return orderByShopRule(train) ? (
      'not checked; the shop rule allows it'
    ) : (
      <span className="text-stop">does not go on by the shop rule: a gear meets its neighbour’s shaft</span>
    );
  if (!mount.fits) return <span className="text-stop">{mountText(mount, system)}</span>;
  const idlers = mount.gears.filter((g) => g.role === 'idler').map((g) => g.teeth);
  return (
    <span className="text-go">
      fits{idlers.length > 0 && `, idler${idlers.length > 1 ? 's' : ''} ${idlers.join(' and ')}`}
    </span>
  );
}
