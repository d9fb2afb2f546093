import { useState } from 'react';
import { pitchErrorEffect } from '../../../core/gearing/effect.ts';
import { gearboxRatios } from '../../../core/gearing/gearbox.ts';
import { gearsToChange, meritOf } from '../../../core/gearing/merit.ts';
import { mountTrain, type Arm, type Mount } from '../../../core/gearing/mount.ts';
import { gearsLeft } from '../../../core/gearing/search.ts';
import { fitOfJob, gearState, latheOf, threadOfJob, trainText } from '../../../core/job/derive.ts';
import type { Job } from '../../../core/job/schema.ts';
import { DEFAULT_SIGMA } from '../../../core/evidence/evidence.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { FINE, lengthText, ppmText } from '../../../core/quantity/format.ts';
import { isMetricPitch, isTpiPitch, pitchText } from '../../../core/quantity/pitch.ts';
import { exact, numberOf, shortText, textOf } from '../../../core/quantity/rational.ts';
import type { Step } from '../../../core/quantity/working.ts';
import { leadOf, pitchMmOf, pitchOf, threadFormOf } from '../../../core/standards/thread.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, editShop, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Figure, Note, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useKeys } from '../../ui/keys.ts';
import { useWorking } from '../../ui/Working.tsx';
import { stopCalc, useCalc } from '../../workers/client.ts';
import { Audit } from './Audit.tsx';
import { Proof } from './Proof.tsx';
import { fittingSteps, TrainDrawing } from './TrainDrawing.tsx';

const SHOWN = 9;
/** Leads searched, before they are weighed. */
const SEARCHED = 14;

export function Gears() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { show } = useWorking();
  const [maxPairs, setMaxPairs] = useState<'1' | '2' | '3'>('2');
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
          gearbox: gearboxRatios(lathe.levers).map((g) => g.ratio),
          maxPairs: Number(maxPairs) as 1 | 2 | 3,
          most: SEARCHED,
          perLead: 6,
          arm: armOf(lathe),
        }
      : null;
  const answered = useCalc(query ? JSON.stringify(query) : null, (w) => w.trains(query!));
  const best = answered.value?.trains[0];
  const wanting = query !== null && best !== undefined && best.errorPpm !== 0;
  const short = useCalc(wanting ? `short ${JSON.stringify(query)}` : null, (w) =>
    w.oneGearShort({ ...query!, maxPairs: 2, arm: null, perLead: 1 }),
  );
  const form = thread ? threadFormOf(thread) : null;
  const flanks = [form?.leadingFlankDeg ?? 30, form?.trailingFlankDeg ?? 30] as const;
  const weights = shop.settings.gearWeights;
  const measuredPpm = measuredPitchPpm(job);
  const trains = (answered.value?.trains ?? [])
    .map((t) => ({
      ...t,
      merit: meritOf(
        measuredPpm !== null && Math.abs(t.errorPpm) <= measuredPpm ? { ...t, errorPpm: 0 } : t,
        t.mount,
        {
          engagementMm: job.fit.engagementMm,
          flanksDeg: flanks,
          clearanceMm: job.fit.pitchClearanceMm,
          mounted: lathe?.mounted ?? null,
        },
        weights,
      ),
    }))
    .sort((a, b) => a.merit.total - b.merit.total)
    .slice(0, SHOWN);
  const keys = Object.fromEntries(trains.map((t, i) => [String(i + 1), () => takeTrain(t)]));
  useKeys(keys);
  if (!thread)
    return (
      <StationFrame station="gears" lead="How the lathe is made to cut this lead." canSettle={false}>
        {null}
      </StationFrame>
    );
  const lead = state?.lead ?? null;
  const chosen = job.gears.train;
  const chosenMount = lathe && chosen ? mountOf(lathe, chosen) : null;
  const nameOf = (ratio: string): string =>
    lathe ? (gearboxRatios(lathe.levers).find((g) => g.ratio === ratio)?.name ?? ratio) : ratio;
  const boxed = lathe !== null && Object.keys(lathe.levers).length > 0;
  const proven = lathe?.proven.filter((p) => p.leadMm === target) ?? [];
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
            <Figure
              label="Start before the work"
              value={lengthText(3 * numberOf(leadOf(thread)), system)}
              other="three leads: a whole number, so that the phase is kept"
            />
            <Figure
              label="Stop after the thread"
              value={lengthText(job.setup.reliefMm, system)}
              other="within the relief groove, clear of jaws and centre; overshoot on the way back takes up the backlash"
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
          {proven.length > 0 && (
            <Panel title="Proven on this lathe">
              <ul className="grid gap-2">
                {proven.map((p) => (
                  <li key={p.at} className="flex flex-wrap items-center justify-between gap-2">
                    <span>
                      <span className="num font-semibold">{trainText(p.train)}</span> cut{' '}
                      {pitchText(exact(p.leadMm), system)} on: {p.job}
                    </span>
                    <Button onClick={() => takeTrain({ ...p.train })}>Take it again</Button>
                  </li>
                ))}
              </ul>
            </Panel>
          )}
          {answered.failed !== null && <Note tone="wrong">The search failed: {answered.failed}.</Note>}
          <Panel
            title="Trains, best first"
            aside={
              <span className="flex items-center gap-2 text-sm text-ink2">
                {answered.pending ? (
                  <>
                    <progress aria-label="Searching" />{' '}
                    <Button onClick={() => (stopCalc(), setMaxPairs('2'))}>Stop</Button>
                  </>
                ) : trains.length > 0 ? (
                  'every train of this set within these pairs was tried: none is nearer'
                ) : (
                  ''
                )}
              </span>
            }
          >
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
            {trains.length === 0 && !answered.pending ? (
              <p className="text-ink2">This set makes no train. Enter the gears owned under Lathes.</p>
            ) : (
              <div className="mt-3 overflow-x-auto">
                <table className="w-full min-w-[38rem] text-left [&_td]:pr-3 [&_.num]:whitespace-nowrap [&_th]:pr-3 [&_th]:whitespace-nowrap">
                  <thead>
                    <tr className="text-sm text-ink2">
                      <th className="font-normal">Drivers / driven</th>
                      {boxed && <th className="font-normal">Gearbox</th>}
                      <th className="font-normal">Cuts</th>
                      <th className="font-normal">Error</th>
                      <th className="font-normal">Over {lengthText(job.fit.engagementMm, system)}</th>
                      <th className="font-normal">On the arm</th>
                      <th>
                        <span className="sr-only">Take</span>
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {trains.map((t, i) => {
                      const effect = pitchErrorEffect(t.errorPpm, job.fit.engagementMm, flanks);
                      const isIt = chosen !== null && sameGears(chosen, t);
                      return (
                        <tr
                          key={trainText(t) + t.gearbox}
                          className={`border-t border-line ${isIt ? 'bg-gosoft' : ''}`}
                        >
                          <td className="num py-1 text-lg font-semibold whitespace-nowrap">{trainText(t)}</td>
                          {boxed && <td>{nameOf(t.gearbox)}</td>}
                          <td className="num">{pitchText(exact(t.leadMm), system)}</td>
                          <td className={`num ${t.errorPpm === 0 ? 'text-go' : ''}`}>{ppmText(t.errorPpm)}</td>
                          <td className="num">
                            {t.errorPpm === 0
                              ? '0'
                              : lengthText(Math.abs(effect.mismatchMm), system, { stepMm: 0.0001, stepIn: 0.00001 })}
                          </td>
                          <td className="text-sm">
                            {t.mount === null ? (
                              'not checked'
                            ) : t.mount.fits ? (
                              <span className="text-go">fits</span>
                            ) : (
                              <span className="text-stop">{t.mount.reason}</span>
                            )}
                            <span className="block text-ink2">{gearsToChange(t, lathe.mounted)} to change</span>
                          </td>
                          <td className="py-1 text-right">
                            {isIt ? (
                              <span className="font-semibold text-go">chosen</span>
                            ) : (
                              <Button onClick={() => takeTrain(t)}>
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
            {measuredPpm !== null && (
              <p className="mt-3">
                This pitch was measured, to about {Math.round(measuredPpm)} ppm: any train within that is as good as
                exact, and they are ordered by the rest.
              </p>
            )}
            {short.value && short.value.length > 0 && (
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
            )}
            <Weigh />
          </Panel>
          {chosen && lead && state?.errorPpm != null && (
            <>
              <div className="print-card">
                <Panel
                  title={`The train: ${trainText(chosen)}`}
                  aside={<Button onClick={() => window.print()}>Print for the cover</Button>}
                >
                  <div className="grid gap-3 md:grid-cols-3">
                    <Figure
                      label="Cuts"
                      value={pitchText(lead, system)}
                      other={`${textOf(lead)} mm exactly`}
                      onShow={() => show('Lead cut by the train', steps)}
                    />
                    {Object.keys(lathe.levers).length > 0 && (
                      <Figure label="Levers" value={nameOf(chosen.gearbox)} other={`ratio ${chosen.gearbox}`} />
                    )}
                    <EffectFigure errorPpm={state.errorPpm} flanks={flanks} />
                  </div>
                  {chosenMount?.fits && lathe.moduleMm !== null ? (
                    <div className="mt-3 grid gap-4 md:grid-cols-2">
                      <figure>
                        <TrainDrawing mount={chosenMount} moduleMm={lathe.moduleMm} />
                        <figcaption className="text-sm text-ink2">
                          Seen from the end of the lathe, true to scale. Hatched: back plane; filled: front plane.
                          {turningText(chosenMount, lathe.tumbler)}
                        </figcaption>
                      </figure>
                      <ol className="list-decimal space-y-1 pl-6">
                        {fittingSteps(
                          chosenMount,
                          lathe.gearWidthMm === null ? '' : ` of ${lengthText(lathe.gearWidthMm, system)}`,
                        ).map((t) => (
                          <li key={t}>{t}</li>
                        ))}
                      </ol>
                    </div>
                  ) : (
                    <p className="mt-3 text-ink2">
                      {chosenMount
                        ? chosenMount.reason
                        : 'Whether it can be mounted is not checked: the arm of this lathe is not measured (Lathes).'}
                    </p>
                  )}
                  <div className="mt-3 flex flex-wrap gap-2 no-print">
                    <Button
                      onClick={() =>
                        editShop('note what is mounted', (d) => {
                          const l = d.lathes.find((x) => x.id === lathe.id);
                          if (l)
                            l.mounted = {
                              drivers: [...chosen.drivers],
                              driven: [...chosen.driven],
                              gearbox: chosen.gearbox,
                            };
                        })
                      }
                    >
                      It is mounted now
                    </Button>
                    <Button
                      onClick={() =>
                        editShop('remember a proven train', (d) => {
                          const l = d.lathes.find((x) => x.id === lathe.id);
                          l?.proven.unshift({
                            leadMm: textOf(leadOf(thread)),
                            train: {
                              drivers: [...chosen.drivers],
                              driven: [...chosen.driven],
                              gearbox: chosen.gearbox,
                            },
                            job: job.title,
                            at: new Date().toISOString(),
                          });
                        })
                      }
                    >
                      It cut right: remember it
                    </Button>
                  </div>
                </Panel>
              </div>
              <Proof lathe={lathe} lead={lead} train={chosen} />
            </>
          )}
          <Audit lathe={lathe} />
        </>
      )}
      <p className="text-sm text-ink2">
        Pitch {lengthText(pitchMmOf(thread), system, FINE)},{' '}
        {thread.starts === 1 ? 'single start' : `${thread.starts} starts`}; lead {shortText(leadOf(thread))} mm.
      </p>
    </StationFrame>
  );
}

const takeTrain = (t: {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  readonly gearbox: string;
}): void =>
  editJob(`choose ${trainText(t)}`, (d) => {
    d.gears.train = { drivers: [...t.drivers], driven: [...t.driven], gearbox: t.gearbox };
  });

/** How finely a measured pitch is known, ppm, from its longest count; null for a thread named by standard or round numbers. */
function measuredPitchPpm(job: Job): number | null {
  const thread = threadOfJob(job);
  if (thread?.family !== 'Special' || isTpiPitch(pitchOf(thread)) || isMetricPitch(pitchOf(thread))) return null;
  const most = Math.max(0, ...job.readings.filter((r) => r.quantity === 'crestCount').map((r) => r.value));
  return most > 0 ? (DEFAULT_SIGMA.crests / most) * 1e6 : null;
}

interface Geared {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  readonly gearbox: string;
}
/** The same gears on the same side: the order of the pairs does not change what is cut. */
const sameGears = (a: Geared, b: Geared): boolean =>
  a.gearbox === b.gearbox &&
  String(a.drivers.toSorted()) === String(b.drivers.toSorted()) &&
  String(a.driven.toSorted()) === String(b.driven.toSorted());

/** The lathe's arm as the mounting check takes it; null when anything it needs is not measured. */
function armOf(lathe: Lathe): Arm | null {
  if (!lathe.arm || lathe.moduleMm === null) return null;
  const { centresMm, slots, bossRadiusMm, coverRadiusMm, swing } = lathe.arm;
  return {
    centresMm,
    slots,
    bossRadiusMm,
    moduleMm: lathe.moduleMm,
    backlashMm: 0.15,
    ...(coverRadiusMm === null ? {} : { coverRadiusMm }),
    ...(swing === null ? {} : { swing }),
  };
}

function mountOf(
  lathe: Lathe,
  train: { readonly drivers: readonly number[]; readonly driven: readonly number[] },
): Mount | null {
  const arm = armOf(lathe);
  if (!arm) return null;
  return mountTrain(train.drivers, train.driven, gearsLeft(lathe.gears, [...train.drivers, ...train.driven]), arm);
}

/** Each mesh turns the motion round: an even number leaves the leadscrew turning as the stud does. */
function turningText(mount: Extract<Mount, { fits: true }>, tumbler: boolean): string {
  const meshes = mount.drivers.length === 1 ? mount.gears.length - 1 : mount.drivers.length;
  return `${meshes} mesh${meshes === 1 ? '' : 'es'}: the leadscrew turns ${meshes % 2 === 0 ? 'the same way as the stud' : 'against the stud'}; ${tumbler ? 'the tumbler sets the hand of the thread' : 'there is no tumbler: for the other hand, one idler more or less'}.`;
}

const WEIGHT_WORDS = {
  error: 'error',
  changes: 'gears to change',
  smallDrivers: 'small drivers',
  pairs: 'number of pairs',
  mounting: 'does not go on the arm',
} as const;

/** What counts when trains are put in order: each weight visible, each to be changed. */
function Weigh() {
  const shop = useShop();
  return (
    <details className="mt-3">
      <summary className="min-h-12 cursor-pointer py-3 text-ink2">What counts when they are put in order</summary>
      <div className="grid gap-2 sm:grid-cols-2">
        {(Object.keys(WEIGHT_WORDS) as (keyof typeof WEIGHT_WORDS)[]).map((w) => (
          <label key={w} className="flex min-h-12 items-center gap-3">
            <span className="w-44">{WEIGHT_WORDS[w]}</span>
            <input
              type="range"
              min={0}
              max={10}
              step={1}
              value={shop.settings.gearWeights[w]}
              onChange={(e) =>
                editShop('change what counts', (d) => void (d.settings.gearWeights[w] = Number(e.target.value)))
              }
              className="grow accent-(--blue)"
            />
            <span className="num w-6">{shop.settings.gearWeights[w]}</span>
          </label>
        ))}
      </div>
      <p className="text-sm text-ink2">
        The error counts by the share of the pitch-diameter clearance it eats over the engaged length, not by its ppm.
      </p>
    </details>
  );
}

function EffectFigure({ errorPpm, flanks }: { readonly errorPpm: number; readonly flanks: readonly [number, number] }) {
  const { job } = useJobView();
  const system = useSystem();
  const { show } = useWorking();
  const effect = pitchErrorEffect(errorPpm, job.fit.engagementMm, flanks);
  const limits = fitOfJob(job)?.limits?.pitch;
  const band = limits?.min != null && limits.max !== null ? limits.max - limits.min : null;
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
        errorPpm === 0
          ? undefined
          : `of the pitch-diameter clearance, ${Math.round(share * 100)} % of what is given${band === null ? '' : `, ${Math.round((effect.clearanceEatenMm / band) * 100)} % of the class tolerance`}`
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
