import { useMemo } from 'react';
import { Check, StepBack } from 'lucide-react';
import { chipSectionsMm2 } from '../../../core/cutting/passes.ts';
import { routine } from '../../../core/cutting/routine.ts';
import { dialRule } from '../../../core/gearing/dial.ts';
import {
  feedAngleDeg,
  fitOfJob,
  gearState,
  latheOf,
  scheduleOf,
  threadOfJob,
  tipFlatOf,
} from '../../../core/job/derive.ts';
import { dialReading, type SlideDial } from '../../../core/lathe/dials.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { exact } from '../../../core/quantity/rational.ts';
import { tanDeg } from '../../../core/quantity/units.ts';
import { plain } from '../../../core/quantity/working.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useShop, useSystem } from '../../store/store.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/keys.ts';
import { useWorking } from '../../ui/Working.tsx';
import { Groove } from './Groove.tsx';
import { PassTable } from './PassTable.tsx';
import { Schedule } from './Schedule.tsx';
import { Trials } from './Trials.tsx';

/** Until a lathe is chosen: millimetres of radius, fiftieths. */
const PLAIN_DIAL: SlideDial = { unit: 'mm', division: 0.02, perTurn: 200, reads: 'radius' };

export function Cut() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { show } = useWorking();
  const schedule = useMemo(() => scheduleOf(job), [job]);
  const total = schedule?.ok ? schedule.value.length + job.cut.springs : 0;
  const keys = useMemo(
    () => ({
      d: () => passDone(total, job.cut.done),
      b: () => passBack(job.cut.done),
    }),
    [total, job.cut.done],
  );
  useKeys(keys);
  const thread = threadOfJob(job);
  const plan = fitOfJob(job);
  if (!thread || !plan || !schedule)
    return (
      <StationFrame station="cut" lead="The pass card keeps the place." canSettle={false}>
        {null}
      </StationFrame>
    );
  const lathe = latheOf(job, shop);
  const lead = gearState(job, shop)?.lead ?? null;
  const angle = feedAngleDeg(job);
  const feedDial = (angle === null ? lathe?.crossSlide : lathe?.topSlide) ?? PLAIN_DIAL;
  const dial =
    lead && lathe?.dial
      ? dialRule({ leadscrew: exact(lathe.leadscrew), lead, dialTeeth: lathe.dial.teeth, marks: lathe.dial.marks })
      : null;
  const flanks = [plan.form.leadingFlankDeg, plan.form.trailingFlankDeg] as const;
  if (!schedule.ok) {
    return (
      <StationFrame station="cut" lead="The pass card keeps the place." canSettle={false}>
        <Note tone="wrong">
          {schedule.problem.message} Right would be: {schedule.problem.right}
        </Note>
        <Schedule />
      </StationFrame>
    );
  }
  const passes = schedule.value;
  const n = passes.length;
  const { done } = job.cut;
  const finished = done >= total;
  const spring = done >= n;
  const at = passes[Math.min(done, n - 1)];
  const before = done > 0 ? passes[Math.min(done, n) - 1] : undefined;
  const reading = at ? dialReading(at.slideMm, feedDial) : null;
  const leftMm = plan.depthMm - (before?.depthMm ?? 0);
  // where no mark is right the spindle reverses whatever way back was chosen
  const reverses = job.cut.returnBy === 'reverse' || (dial?.safeMarks.length ?? 0) === 0;
  const motions = routine({
    make: job.intake.make,
    leftHand: thread.leftHand,
    returnBy: job.cut.returnBy,
    infeed: angle === null ? 'plunge' : 'angled',
    safeMarks: dial?.safeMarks.length ?? 0,
    marks: lathe?.dial?.marks ?? 0,
    electronic: lathe?.drive === 'electronic',
  });
  return (
    <StationFrame
      station="cut"
      lead={
        finished
          ? 'Every pass is cut. Prove it before it leaves the chuck.'
          : 'Set the dial, cut, then Done. The card keeps the place.'
      }
      canSettle={finished}
    >
      <section aria-label="Pass card" className="overflow-hidden rounded-lg border-2 border-blue bg-panel">
        <div className="grid gap-x-6 p-4 md:grid-cols-[minmax(0,1fr)_16rem]">
          <div>
            <p className="text-lg text-ink2">
              {angle === null ? 'Cross slide' : 'Top slide'} in to, {feedDial.unit}
              {feedDial.reads === 'diameter' ? ' on the diameter scale' : ''}
            </p>
            <button
              type="button"
              className="num block text-left text-[clamp(3.5rem,11vw,7.5rem)] font-bold leading-none tracking-tighter"
              aria-label={`Next reading ${finished ? 'none' : (reading?.text ?? '')}; show the working`}
              onClick={() =>
                at &&
                show(`Pass ${Math.min(done + 1, n)} of ${n}`, [
                  {
                    name: 'Depth after this pass',
                    symbol: 'D',
                    formula:
                      job.cut.rule === 'constant-area'
                        ? 'equal chip sections: f D + (tan a1 + tan a2) D\u00b2 / 2 grows evenly'
                        : 'h i / n',
                    values: `h = ${plain(plan.depthMm)}, pass ${Math.min(done + 1, n)} of ${n}, f = ${plain(tipFlatOf(job, plan, thread))}`,
                    result: at.depthMm,
                    unit: 'mm',
                    source: 'constant chip section; common practice',
                  },
                  {
                    name: 'Travel of the slide',
                    symbol: 's',
                    formula: angle === null ? 'D' : 'D / cos(angle)',
                    values: angle === null ? plain(at.depthMm) : `${plain(at.depthMm)} / cos ${angle}\u00b0`,
                    result: at.slideMm,
                    unit: 'mm',
                    source: 'geometry',
                  },
                ])
              }
            >
              {finished ? 'done' : reading && reading.turns > 0 ? reading.text.split(' + ')[1] : reading?.text}
            </button>
            <p className="num min-h-8 text-2xl">
              {!finished && reading && reading.turns > 0
                ? `after ${reading.turns} full turn${reading.turns === 1 ? '' : 's'}`
                : ''}
            </p>
            <p className="text-xl">
              {finished
                ? `${n} passes and ${job.cut.springs} spring passes cut`
                : spring
                  ? `Spring pass ${done - n + 1} of ${job.cut.springs}: same setting again`
                  : `Pass ${done + 1} of ${n}${job.cut.springs > 0 ? ` + ${job.cut.springs} spring` : ''}`}
              {!finished && !spring && at && (
                <span className="num text-ink2">
                  {' '}
                  &middot; takes {lengthText(at.depthMm - (before?.depthMm ?? 0), system, FINE)},{' '}
                  {lengthText(leftMm, system, FINE)} to go
                </span>
              )}
            </p>
          </div>
          <Groove
            depths={passes.map((p) => p.depthMm)}
            done={Math.min(done, n)}
            slope={[tanDeg(flanks[0]), tanDeg(flanks[1])]}
            flat={tipFlatOf(job, plan, thread)}
            angle={angle}
          />
        </div>
        <ol className="grid gap-1 border-t border-line bg-inset p-4 text-lg md:grid-cols-2">
          {motions.map((m, i) => (
            <li key={m} className="flex gap-2">
              <span className="num font-bold text-blue">{i + 1}</span> {m}
            </li>
          ))}
        </ol>
        <div className="grid grid-cols-[1fr_2fr] gap-3 border-t border-line p-4">
          <Button big disabled={done === 0} onClick={() => passBack(done)}>
            <StepBack aria-hidden /> Back
          </Button>
          <Button big tone="main" disabled={finished} onClick={() => passDone(total, done)}>
            <Check aria-hidden /> {spring && !finished ? 'Spring pass done' : 'Done'}
          </Button>
        </div>
      </section>
      <Note tone="caution">
        Stop the spindle to wipe, gauge or try a nut. Never a file without a handle; no gloves or rag near a turning
        thread; swarf with a hook.
      </Note>
      {lathe?.screwedChuck && reverses && (
        <Note tone="caution">This chuck screws on: lock it before running the spindle in reverse.</Note>
      )}
      {dial && job.cut.returnBy === 'dial' && (
        <Note tone={dial.safeMarks.length > 0 ? 'right' : 'wrong'}>{dial.advice}</Note>
      )}
      <Trials />
      <Schedule />
      <Panel title="All passes">
        <PassTable
          passes={passes}
          dial={feedDial}
          sections={chipSectionsMm2(
            passes.map((p) => p.depthMm),
            tipFlatOf(job, plan, thread),
            flanks,
          )}
          done={done}
        />
      </Panel>
    </StationFrame>
  );
}

const passDone = (total: number, done: number): void => {
  if (done < total) editJob(`pass ${done + 1} done`, (d) => void (d.cut.done = done + 1));
};
const passBack = (done: number): void => {
  if (done > 0) editJob('back one pass', (d) => void (d.cut.done = done - 1));
};
