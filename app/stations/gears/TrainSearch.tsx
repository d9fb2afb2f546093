import type { ThreadSpec } from '../../../core/standards/thread.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import type { Flanks } from '../../../core/form/flanks.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { useState } from 'react';
import { trainsQuery, measuredPitchPpm } from './trainQuery.ts';
import { useCalc, type Answered, stopCalc } from '../../workers/client.ts';
import { worthShowing, hopeless } from '../../../core/gearing/proof/index.ts';
import { meritOf, asGoodAsMeasured } from '../../../core/gearing/search/index.ts';
import { engagedOf } from '../../../core/job/derive.ts';
import { useRows } from '../../ui/keys.ts';
import { Note, Button, Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Copied } from '../../ui/Copy.tsx';
import { Weigh } from './Weigh.tsx';
import { lookedAtText } from '../../../words/gears.ts';
import { ppmText } from '../../../core/quantity/format.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import { TrainTable } from './TrainTable.tsx';

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
