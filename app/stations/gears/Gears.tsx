import { useMemo } from 'react';
import { dialRule } from '../../../core/gearing/dial.ts';
import { pitchErrorEffect, turnsCheck } from '../../../core/gearing/effect.ts';
import type { Train } from '../../../core/gearing/search.ts';
import { gearState, latheOf, threadOfJob, trainText } from '../../../core/job/derive.ts';
import { FINE, lengthText, ppmText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact, numberOf, shortText, textOf } from '../../../core/quantity/rational.ts';
import type { Step } from '../../../core/quantity/working.ts';
import { leadOf, pitchMmOf, threadFormOf } from '../../../core/standards/thread.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Figure, Note, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useKeys } from '../../ui/keys.ts';
import { useWorking } from '../../ui/Working.tsx';
import { useCalc } from '../../workers/client.ts';

const SHOWN = 9;

export function Gears() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { show } = useWorking();
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  const state = gearState(job, shop);
  const target = thread ? textOf(leadOf(thread)) : null;
  const query =
    thread && lathe?.drive === 'gears' && target !== null
      ? {
          leadscrew: lathe.leadscrew,
          target,
          gears: lathe.gears,
          fixedRatio: lathe.fixedRatio,
          gearbox: lathe.gearbox.map((g) => g.ratio),
          maxPairs: 2 as const,
          most: SHOWN,
          perLead: 4,
        }
      : null;
  const answered = useCalc(query ? JSON.stringify(query) : null, (w) => w.trains(query!));
  const trains = useMemo(
    () => sortTrains(answered.value?.trains ?? [], lathe?.mounted ?? null).slice(0, SHOWN),
    [answered.value, lathe],
  );
  const take = (t: Train): void =>
    editJob(`choose ${trainText(t)}`, (d) => {
      d.gears.train = { drivers: [...t.drivers], driven: [...t.driven], gearbox: t.gearbox };
    });
  const keys = useMemo(() => Object.fromEntries(trains.map((t, i) => [String(i + 1), () => take(t)])), [trains]);
  useKeys(keys);
  if (!thread)
    return (
      <StationFrame station="gears" lead="How the lathe is made to cut this lead." canSettle={false}>
        {null}
      </StationFrame>
    );
  const form = threadFormOf(thread);
  const flanks = [form.leadingFlankDeg, form.trailingFlankDeg] as const;
  const lead = state?.lead ?? null;
  const proof = lead && lathe ? turnsCheck(lead, exact(lathe.leadscrew)) : null;
  const dial =
    lead && lathe?.dial && lathe.drive === 'gears'
      ? dialRule({ leadscrew: exact(lathe.leadscrew), lead, dialTeeth: lathe.dial.teeth, marks: lathe.dial.marks })
      : null;
  const chosen = job.gears.train;
  const steps: Step[] =
    lathe && chosen && lead
      ? [
          {
            name: 'Lead cut',
            symbol: 'L',
            formula: 'leadscrew \u00d7 fixed ratio \u00d7 gearbox \u00d7 drivers / driven',
            values: `${lathe.leadscrew} \u00d7 ${lathe.fixedRatio} \u00d7 ${chosen.gearbox} \u00d7 ${chosen.drivers.join(' \u00d7 ')} / (${chosen.driven.join(' \u00d7 ')}) = ${textOf(lead)} mm exactly`,
            result: numberOf(lead),
            unit: 'mm',
            source: 'kinematics of the train, exact fractions; 1 in = 25.4 mm (1959)',
          },
        ]
      : [];
  return (
    <StationFrame
      station="gears"
      lead={`How the lathe is made to cut a lead of ${pitchText(leadOf(thread), system)}.`}
      canSettle={lead !== null}
    >
      <Panel title="Lathe">
        <div className="grid gap-3 md:grid-cols-[1fr_14rem]">
          <Choice
            label="Which lathe"
            value={job.gears.lathe ?? ''}
            options={shop.lathes.map((l) => ({ value: l.id, label: l.name }))}
            onChange={(v) =>
              editJob('choose the lathe', (d) => {
                d.gears.lathe = v;
                d.gears.train = null;
              })
            }
          />
          <LengthField
            label="Engaged length"
            mm={job.fit.engagementMm}
            system={system}
            rule={{ maxMm: 5000 }}
            onCommit={(mm) => editJob('change the engagement', (d) => void (d.fit.engagementMm = mm))}
          />
        </div>
      </Panel>
      {lathe?.drive === 'electronic' && (
        <Panel title="Electronic leadscrew">
          <div className="grid grid-cols-2 gap-3">
            <Figure
              label="Type in the lead"
              value={pitchText(leadOf(thread), 'mm')}
              other={pitchText(leadOf(thread), 'in')}
            />
            <Note tone="caution">
              Once the pass has begun the handwheel cannot stop it short on some controls: keep jaws and centre clear.
              Start a whole number of leads before the work.
            </Note>
          </div>
        </Panel>
      )}
      {lathe?.drive === 'gears' && (
        <>
          <Note tone="caution">
            Isolate at the plug before hands go near gears; cover back on before power. Set the mesh with a strip of
            paper (0.1 to 0.2 mm backlash, common practice).
          </Note>
          {answered.failed !== null && <Note tone="wrong">The search failed: {answered.failed}.</Note>}
          <Panel
            title="Trains, best first"
            aside={
              <span className="text-sm text-ink2">
                {answered.pending
                  ? 'searching\u2026'
                  : trains.length > 0
                    ? 'every one- and two-pair train of this set was tried'
                    : ''}
              </span>
            }
          >
            {trains.length === 0 && !answered.pending ? (
              <p className="text-ink2">This set makes no train. Enter the gears owned under Lathes.</p>
            ) : (
              <div className="overflow-x-auto">
                <table className="w-full min-w-[36rem] text-left">
                  <thead>
                    <tr className="text-sm text-ink2">
                      <th className="font-normal">Drivers / driven</th>
                      <th className="font-normal">Gearbox</th>
                      <th className="font-normal">Cuts</th>
                      <th className="font-normal">Error</th>
                      <th className="font-normal">Over {lengthText(job.fit.engagementMm, system)}</th>
                      <th>
                        <span className="sr-only">Take</span>
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {trains.map((t, i) => {
                      const effect = pitchErrorEffect(t.errorPpm, job.fit.engagementMm, flanks);
                      const isIt =
                        chosen !== null && trainText(chosen) === trainText(t) && chosen.gearbox === t.gearbox;
                      return (
                        <tr
                          key={trainText(t) + t.gearbox}
                          className={`border-t border-line ${isIt ? 'bg-gosoft' : ''}`}
                        >
                          <td className="num py-1 text-lg font-semibold">{trainText(t)}</td>
                          <td className="num">{lathe.gearbox.find((g) => g.ratio === t.gearbox)?.name ?? t.gearbox}</td>
                          <td className="num">{pitchText(exact(t.leadMm), system)}</td>
                          <td className={`num ${t.errorPpm === 0 ? 'text-go' : ''}`}>{ppmText(t.errorPpm)}</td>
                          <td className="num">
                            {t.errorPpm === 0
                              ? '0'
                              : `${lengthText(Math.abs(effect.mismatchMm), system, { stepMm: 0.0001, stepIn: 0.00001 })}`}
                          </td>
                          <td className="py-1 text-right">
                            {isIt ? (
                              <span className="font-semibold text-go">chosen</span>
                            ) : (
                              <Button onClick={() => take(t)}>
                                Take <span className="num text-sm opacity-70">{i + 1}</span>
                              </Button>
                            )}
                          </td>
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
            )}
            <p className="mt-2 text-sm text-ink2">
              First figure is the driver on the stud. A single pair needs an idler of any size to reach and to keep the
              hand.
            </p>
          </Panel>
          {chosen && lead && state?.errorPpm != null && (
            <Panel title="The train chosen">
              <div className="grid gap-3 md:grid-cols-3">
                <Figure
                  label="Cuts"
                  value={pitchText(lead, system)}
                  other={`${textOf(lead)} mm exactly`}
                  onShow={() => show('Lead cut by the train', steps)}
                />
                {proof && (
                  <Figure
                    label="Turns check"
                    value={`${proof.spindle} chuck : ${proof.leadscrew} screw`}
                    other={`turn the chuck ${proof.spindle} times: the leadscrew key is back at the top after ${proof.leadscrew}`}
                  />
                )}
                <EffectFigure errorPpm={state.errorPpm} flanks={flanks} />
              </div>
              {!lathe.dial && (
                <div className="mt-3">
                  <Note tone="say">
                    This lathe has no chasing dial: keep the half-nuts shut and reverse the spindle.
                  </Note>
                </div>
              )}
              {dial && (
                <div className="mt-3">
                  <Note tone={dial.safeMarks.length > 0 ? 'right' : 'caution'}>
                    <strong>Chasing dial:</strong> {dial.advice}
                  </Note>
                </div>
              )}
            </Panel>
          )}
        </>
      )}
      <p className="text-sm text-ink2">
        Pitch {lengthText(pitchMmOf(thread), system, FINE)},{' '}
        {thread.starts === 1 ? 'single start' : `${thread.starts} starts`}; lead {shortText(leadOf(thread))} mm.
      </p>
    </StationFrame>
  );
}

function EffectFigure({ errorPpm, flanks }: { readonly errorPpm: number; readonly flanks: readonly [number, number] }) {
  const { job } = useJobView();
  const system = useSystem();
  const { show } = useWorking();
  const effect = pitchErrorEffect(errorPpm, job.fit.engagementMm, flanks);
  const share = job.fit.pitchClearanceMm > 0 ? effect.clearanceEatenMm / job.fit.pitchClearanceMm : 0;
  return (
    <Figure
      label="What the error does"
      value={
        errorPpm === 0
          ? 'nothing: exact'
          : lengthText(effect.clearanceEatenMm, system, { stepMm: 0.0001, stepIn: 0.00001 })
      }
      other={
        errorPpm === 0 ? undefined : `of the pitch-diameter clearance, ${Math.round(share * 100)} % of what is given`
      }
      onShow={() =>
        show('What the lead error does', [
          {
            name: 'Mismatch over the engagement',
            symbol: 'e Le',
            formula: 'error \u00d7 engaged length',
            values: `${errorPpm.toFixed(1)} ppm \u00d7 ${job.fit.engagementMm} mm`,
            result: effect.mismatchMm,
            unit: 'mm',
            source: 'geometry',
          },
          {
            name: 'Clearance it eats',
            symbol: '\u0394d2',
            formula: '2 e Le / (tan a1 + tan a2)',
            values: `2 \u00d7 ${Math.abs(effect.mismatchMm).toFixed(5)} / (tan ${flanks[0]}\u00b0 + tan ${flanks[1]}\u00b0)`,
            result: effect.clearanceEatenMm,
            unit: 'mm',
            source: 'geometry of the flanks; ASME B1.1 treats lead error alike',
          },
        ])
      }
    />
  );
}

/** Exact and already mounted first; otherwise as found. */
function sortTrains(
  trains: readonly Train[],
  mounted: { readonly drivers: readonly number[]; readonly driven: readonly number[]; readonly gearbox: string } | null,
): Train[] {
  if (!mounted) return [...trains];
  const key = `${trainText(mounted)} ${mounted.gearbox}`;
  const isMounted = (t: Train): number => (`${trainText(t)} ${t.gearbox}` === key ? 0 : 1);
  return trains.toSorted((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm) || isMounted(a) - isMounted(b));
}
