import { setupOf } from '../../../core/job/setupView.ts';
import { cautionText } from '../../../words/cautions.ts';
import { slideAngleText } from '../../../words/setup.ts';
import { CONFLICT } from '../../../words/machine.ts';
import { fitOfJob, latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';
import { parseAngle } from '../../../core/quantity/angle.ts';
import { FINE, lengthText, roundText, speedText } from '../../../core/quantity/format.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Choice, Note, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField, TypedField } from '../../ui/fields.tsx';
import { parseSpindleSpeed } from '../../../core/lathe/typed.ts';

const CHECKS: readonly { readonly id: string; readonly text: string }[] = [
  { id: 'ground', text: 'Tool ground to the form, side relief for the lead angle' },
  { id: 'height', text: 'Tool on centre height' },
  { id: 'square', text: 'Tool square to the work with the setting gauge' },
  { id: 'true', text: 'Work runs true, centre or steady in place' },
  { id: 'relief', text: 'Relief groove cut, or a stop set' },
  { id: 'zero', text: 'Both dials at zero with the tool just touching' },
  { id: 'clear', text: 'Tool clears jaws and centre over the whole travel; chuck key out' },
];

/** Flank angles whose half is often taken wrongly; a slide set further than the half angle cuts steps in the flank. */
export function Setup() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
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
  return (
    <StationFrame station="setup" lead="Tool, slide and speed, before any metal is cut.">
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
          <ul className="grid gap-1 md:grid-cols-2">
            {CHECKS.map((c) => (
              <li key={c.id}>
                <label className="flex min-h-12 items-center gap-3">
                  <input
                    type="checkbox"
                    className="size-6 accent-(--blue)"
                    checked={job.setup.checks.includes(c.id)}
                    onChange={(e) =>
                      act({
                        do: 'setUp',
                        checks: e.target.checked
                          ? [...job.setup.checks, c.id]
                          : job.setup.checks.filter((x) => x !== c.id),
                      })
                    }
                  />
                  {c.text}
                </label>
              </li>
            ))}
          </ul>
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
