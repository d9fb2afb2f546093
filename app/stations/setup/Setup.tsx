import { Link } from 'react-router';
import { settingsOf } from '../../../core/job/settings.ts';
import { SettingRows } from './SettingRows.tsx';
import { setupOf } from '../../../core/job/setupView.ts';
import { cautionText } from '../../../words/cautions.ts';
import { slideAngleText } from '../../../words/setup.ts';
import { CONFLICT } from '../../../words/machine.ts';
import { fitOfJob, latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';
import { parseAngle } from '../../../core/quantity/angle.ts';
import { FINE, lengthText, roundText, speedText } from '../../../core/quantity/format.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Choice, Note, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField, TypedField } from '../../ui/fields.tsx';
import { parseSpindleSpeed } from '../../../core/lathe/typed.ts';

/** Tool, slide and speed, decided at the desk; set one after another at the machine. */
export function Setup() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const machineUnit = useDialUnit();
  const thread = threadOfJob(job);
  const view = setupOf(job, shop);
  if (!thread || !view)
    return (
      <StationFrame station="setup" lead="Tool, slide, speed." canSettle={false}>
        {null}
      </StationFrame>
    );
  const lathe = latheOf(job, shop);
  const plan = fitOfJob(job);
  const { halfDeg: half, slide, scale, wantedRpm: wanted, rpm, react } = view;
  const angled = feedsAtAngle(job.setup.infeed);
  const angle = job.setup.slideAngleDeg;
  const internal = job.intake.make === 'internal';
  const settings = settingsOf(job, view, thread);
  return (
    <StationFrame
      station="setup"
      lead="Tool, slide and speed, before any metal is cut."
      acts={
        <Link
          to={`/jobs/${job.id}/setup/machine`}
          className="key inline-flex min-h-14 items-center justify-center gap-2 rounded-[4px] px-4 text-center text-lg font-semibold"
        >
          At the machine: set it, one after another
        </Link>
      }
    >
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="Feeding in">
          <div className="grid gap-3">
            <Choice
              label="How the cut is fed"
              value={job.setup.infeed}
              options={[
                { value: 'flank', label: 'Top slide at an angle' },
                { value: 'modified', label: 'A little of both flanks' },
                { value: 'alternate', label: 'Flanks in turn' },
                { value: 'plunge', label: 'Straight in' },
              ]}
              onChange={(v) => act({ do: 'setUp', infeed: v })}
            />
            {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
            {angled && (
              <>
                <TypedField
                  label="Top slide from the cross-slide line"
                  shown={`${roundText(angle, 0.25)}\u00b0`}
                  parse={(t) => parseAngle(t, 'angle', 45)}
                  onCommit={(a) => act({ do: 'setUp', slideAngleDeg: a.deg })}
                  hint={`half the form angle is ${half}\u00b0; half to one degree less is usual, never more`}
                />
                {slide.code !== 'right' && (
                  <Note tone={slide.code === 'beyond' ? 'wrong' : 'caution'}>{slideAngleText(slide, angle, half)}</Note>
                )}
                {scale !== null && (
                  <Figure
                    label={`Set the top slide\u2019s own scale to (0 is ${lathe?.slideScaleZero === 'bed' ? 'along the bed' : 'in line with the cross slide'})`}
                    value={`${roundText(scale.deg, 0.25)}\u00b0`}
                    other={
                      internal
                        ? 'swung the other way for the internal thread'
                        : thread.leftHand
                          ? 'swung the other way for the left-hand thread'
                          : 'so that it feeds towards the headstock'
                    }
                    working={{
                      title: 'Top slide setting',
                      steps: scale.steps,
                    }}
                  />
                )}
              </>
            )}
            {job.setup.infeed === 'alternate' && (
              <Note tone="say">
                The top slide lies along the bed and is moved to and fro, so that each pass cuts one flank only: coarse
                trapezoidal threads.
              </Note>
            )}
            {internal && (
              <LengthField
                label="Bar: from the tip to its back"
                mm={job.setup.barMm}
                system={system}
                placeholder="not measured"
                rule={{ maxMm: 500 }}
                onClear={() => act({ do: 'setUp', barMm: null })}
                onCommit={(mm) => act({ do: 'setUp', barMm: mm })}
                hint="how far the tool can be drawn out in the bore follows from it"
              />
            )}
            {job.setup.infeed === 'plunge' && (
              <Note tone="say">
                Both flanks cut: the force grows with depth. Right for recutting, fine threads and form inserts.
              </Note>
            )}
          </div>
        </Panel>
        <Panel title="Speed">
          <div className="grid gap-3">
            <TypedField
              label="Spindle speed, rev/min"
              shown={rpm === null ? '' : String(rpm)}
              parse={parseSpindleSpeed}
              onCommit={(v) => act({ do: 'setUp', rpm: v })}
              onClear={() => act({ do: 'setUp', rpm: null })}
              hint={
                wanted !== null
                  ? `about a third of turning speed for ${job.intake.material}: ${Math.round(wanted)} (common practice)`
                  : plan
                    ? `no speed is known here for \u201c${job.intake.material}\u201d: give one`
                    : undefined
              }
            />
            <LengthField
              label="Relief groove, or clear run past the work"
              mm={job.setup.reliefMm}
              system={system}
              rule={{ maxMm: 1000 }}
              onCommit={(mm) => act({ do: 'setUp', reliefMm: mm })}
            />
            {react && (
              <Figure
                label="Time to stop or withdraw"
                value={`${react.seconds.toFixed(1)} s`}
                other={`carriage at ${speedText(react.carriageMmS, system)}`}
                working={{ title: 'Time to react', steps: react.steps }}
              />
            )}
            {react?.tooQuick && <Note tone="caution">{cautionText('little-time', system)}</Note>}
          </div>
        </Panel>
        <Panel title="Before the scratch pass" className="md:col-span-2">
          <SettingRows
            settings={settings}
            now={null}
            toggles
            unit={machineUnit}
            onAsk={(code) =>
              act({
                do: 'setUp',
                checks: job.setup.checks.includes(code)
                  ? job.setup.checks.filter((x) => x !== code)
                  : [...job.setup.checks, code],
              })
            }
          />
          <div className="mt-3 grid gap-2">
            <Note tone="say">
              Then a scratch pass of about {lengthText(0.1, system, FINE)}: check the pitch with a leaf or a rule before
              going on.
            </Note>
          </div>
        </Panel>
      </div>
    </StationFrame>
  );
}
