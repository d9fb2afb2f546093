import { useEffect, useRef, useState } from 'react';
import { gradeShut, markAt, shutAt, threadsPerS, type HalfNutsRound, type Shut } from '../../core/practice/halfNuts.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import { exact } from '../../core/quantity/rational.ts';
import { offLeadsText } from '../../words/practice.ts';
import { DialLeverPlate } from '../drawing/DialLeverPlate.tsx';
import { MainAct, SideAct } from '../machine/Bar.tsx';
import { BigNumber } from '../machine/DialNumber.tsx';
import { Note } from '../ui/controls.tsx';
import { useKeys } from '../ui/keys.ts';
import { PracticeFrame } from './PracticeFrame.tsx';
import type { useRound } from './useRound.ts';
import { useTurning } from './useTurning.ts';

/** One round: the dial goes round, and the lever is thrown once. */
export function NutsRound({
  r,
  round,
  lathe,
  running,
}: {
  readonly r: HalfNutsRound;
  readonly round: ReturnType<typeof useRound>;
  readonly lathe: string;
  readonly running: boolean;
}) {
  const [passed, setPassed] = useState(r.passed);
  const [shut, setShut] = useState<Shut | null>(null);
  const { answer } = round;
  const going = running && answer === null;
  const now = useRef(passed);
  useEffect(() => {
    now.current = passed;
  }, [passed]);
  useTurning(going, (seconds) => setPassed((p) => p + seconds * threadsPerS(r)));
  const toMark = (): void => {
    const per = r.teeth / r.marks;
    // the lever's own time is allowed for, as a hand does
    const lever = r.leverS * threadsPerS(r);
    setPassed((p) => (Math.floor((p + lever) / per + 1e-6) + 1) * per - lever);
  };
  const done = (what: Shut | 'kept'): void => {
    if (answer) return;
    const missed = gradeShut(r, what);
    if (what !== 'kept') {
      setShut(what);
      setPassed(what.threads);
    }
    const rule = (
      <p className="text-xl leading-snug">
        {r.safe.length === 0
          ? 'For this lead no mark is right on every turn of the dial.'
          : `Right here: ${r.safe
              .map((s) => ((s + r.first) % r.marks) + 1)
              .sort((a, b) => a - b)
              .join(', ')} of the ${r.marks} marks, the first pass having been on ${r.first + 1}.`}
      </p>
    );
    round.give({
      missed,
      say:
        what === 'kept'
          ? missed === ''
            ? 'They stay shut, and the tool with its groove.'
            : 'Safe, but there are marks that are right.'
          : what.right
            ? `In its groove, ${what.threads} threads of the leadscrew on.`
            : offLeadsText(what.offLeads).replace(/^./, (c) => c.toUpperCase()) + '.',
      why: rule,
    });
  };
  const throwLever = (): void => done(shutAt(r, now.current));
  useKeys({
    throwLever,
    keepShut: () => done('kept'),
    oneOn: () => !going && !answer && setPassed((p) => p + 1),
    toMark: () => !going && !answer && toMark(),
  });
  const would = r.help && answer === null ? shutAt(r, passed) : null;
  const lead = exact(r.leadMm);
  const leadText = pitchText(lead, 'mm');
  const screw = pitchText(exact(r.leadscrewMm), 'mm');
  return (
    <PracticeFrame
      game="half-nuts"
      on={`${leadText} on ${lathe}; leadscrew ${screw}, dial of ${r.teeth} teeth`}
      picture={<DialLeverPlate r={r} passed={passed} shut={shut} would={would} />}
      head={
        <div className="grid gap-3">
          <p className="text-[clamp(1.5rem,4.6cqi,2.1rem)] font-bold leading-tight">
            Shut the half-nuts where the tool falls back into its groove.
          </p>
          <BigNumber
            what="On the index"
            unit="mark"
            figure={(markAt(r, passed) + 1).toFixed(1)}
            label={`Mark ${(markAt(r, passed) + 1).toFixed(1)} is at the index`}
          />
          <dl className="grid grid-cols-3 gap-3 text-lg">
            {[
              ['first shut on', String(r.first + 1)],
              ['lead', leadText],
              ['spindle, rev/min', String(r.rpm)],
            ].map(([k, v]) => (
              <div key={k}>
                <dt className="text-ink2">{k}</dt>
                <dd className="num text-xl font-bold">{v}</dd>
              </div>
            ))}
          </dl>
        </div>
      }
      step={
        would && (
          <Note tone="say">
            <p className="text-xl">
              Shut now they would drop in {would.threads} threads on: <strong>{offLeadsText(would.offLeads)}</strong>.
              This help is gone from level 3 on.
            </p>
          </Note>
        )
      }
      main={
        <MainAct onClick={throwLever} then="Space, or the lever">
          Shut
        </MainAct>
      }
      sides={
        <>
          <SideAct onClick={() => done('kept')}>Keep them shut all along</SideAct>
          {!going && <SideAct onClick={() => setPassed((p) => p + 1)}>One thread on</SideAct>}
          {!going && <SideAct onClick={toMark}>To the next mark</SideAct>}
        </>
      }
      answer={answer}
      onNext={round.next}
    />
  );
}
