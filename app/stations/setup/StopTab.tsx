import { endsOf } from '../../../core/job/endView.ts';
import { parseSeconds, parseSpindleSpeed } from '../../../core/lathe/typed.ts';
import { isGeared } from '../../../core/lathe/schema.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { setupOf } from '../../../core/job/setupView.ts';
import { numberOf } from '../../../core/quantity/rational.ts';
import { speedText } from '../../../core/quantity/format.ts';
import { cautionText } from '../../../words/cautions.ts';
import { atSpeedText, END_NAMES, endText, ROOM_NAMES } from '../../../words/endOfThread.ts';
import { SpeedKeys } from './SpeedKeys.tsx';
import { StopPlate } from '../../drawing/StopPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** Where the tool may go, how the thread ends, and how fast one may come to it. */
export function StopTab() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const thread = threadOfJob(job);
  const view = setupOf(job, shop);
  const fit = fitOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread || !view || !fit) return null;
  const { end, rpm, react, wantedRpm } = view;
  const { setup } = job;
  const internal = fit.make === 'internal';
  const byHand = setup.end === 'taper-out' || setup.end === 'stop';
  const lead = gearState(job, shop)?.lead;
  const said = end && rpm !== null ? atSpeedText(end, rpm) : '';
  const how = end ? endText(end, lathe !== null && !isGeared(lathe), system, rpm) : '';
  const speeds = (lathe?.speeds ?? []).toSorted((a, b) => a - b);
  return (
    <div className="grid gap-3">
      {end && lead && (
        <StopPlate
          end={end}
          internal={internal}
          leftHand={thread.leftHand}
          roomMm={setup.reliefMm}
          lengthMm={setup.lengthMm}
          leadMm={numberOf(lead)}
          freeMm={setup.held.freeMm}
          centre={setup.held.by === 'chuck-centre' || setup.held.by === 'centres'}
          diameterMm={fit.startDiameterMm}
          depthMm={fit.depthMm}
          system={system}
          big={said === '' ? '?' : said}
          enough={react?.tooQuick !== true}
        />
      )}
      {!end && (
        <Note tone="caution">
          Choose the lathe and its train first: how long there is to stop follows from the lead.
        </Note>
      )}
      {end && speeds.length > 0 && <SpeedKeys end={end} speeds={speeds} rpm={rpm} />}
      {view.allTooQuick && (
        <Note tone="wrong">
          No speed of this lathe leaves the time wanted: make more room, draw the tool out by hand, or cut away from the
          shoulder.
        </Note>
      )}
      {react?.tooQuick && <Note tone="caution">{cautionText('little-time', system)}</Note>}
      <Choice
        label="How the thread ends"
        value={setup.end}
        options={endsOf(fit.make).map((value) => ({
          value,
          label: END_NAMES[value],
        }))}
        onChange={(v) => act({ do: 'setUp', end: v })}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <TypedField
          label="Spindle speed, rev/min"
          shown={rpm === null ? '' : String(rpm)}
          parse={parseSpindleSpeed}
          onCommit={(v) => act({ do: 'setUp', rpm: v })}
          onClear={() => act({ do: 'setUp', rpm: null })}
          hint={
            wantedRpm !== null
              ? `${Math.round(wantedRpm)} is about a third of turning speed for ${job.intake.material} (common practice)`
              : `no speed is known here for \u201c${job.intake.material}\u201d: give one`
          }
        />
        {byHand ? (
          setup.end === 'taper-out' && (
            <LengthField
              label={ROOM_NAMES[setup.end]}
              mm={setup.taperOutMm}
              system={system}
              placeholder="one turn"
              rule={{ maxMm: 1000 }}
              onClear={() => act({ do: 'setUp', taperOutMm: null })}
              onCommit={(mm) => act({ do: 'setUp', taperOutMm: mm })}
            />
          )
        ) : (
          <LengthField
            label={ROOM_NAMES[setup.end]}
            mm={setup.reliefMm}
            system={system}
            placeholder="not measured"
            rule={{ maxMm: 1000 }}
            onClear={() => act({ do: 'setUp', reliefMm: null })}
            onCommit={(mm) => act({ do: 'setUp', reliefMm: mm })}
          />
        )}
        {!byHand && (
          <TypedField
            label="Time wanted to stop, s"
            shown={end ? String(end.needS) : ''}
            parse={parseSeconds}
            onCommit={(s) => act({ do: 'setUp', reactS: s })}
            onClear={() => act({ do: 'setUp', reactS: null })}
            hint="0.4 to 0.5 from seeing to opening is quick; a whole second is calm (common practice)"
          />
        )}
      </div>
      {react && (
        <Figure
          label={byHand ? `Turns while the tool is drawn out in ${end?.drawS ?? 0} s` : 'Time to stop or withdraw'}
          value={said}
          other={`carriage at ${speedText(react.carriageMmS, system)}`}
          working={{ title: 'Time to react', steps: react.steps }}
        />
      )}
      {how !== '' && <Note tone="say">{how}</Note>}
    </div>
  );
}
