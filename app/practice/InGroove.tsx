import { useMemo, useState } from 'react';
import { Eye } from 'lucide-react';
import {
  crossOutMm,
  gradeGroove,
  gradeRun,
  grooveDo,
  grooveRound,
  grooveStart,
  realOff,
  runOff,
  seenOff,
  type GrooveDo,
} from '../../core/practice/groove.ts';
import { FINE, lengthText, roundText } from '../../core/quantity/format.ts';
import { GROOVE_WAY } from '../../words/practice.ts';
import { towardsHead, WAY_NAMES } from '../../words/pickup.ts';
import { GroovePracticePlate } from '../drawing/GroovePracticePlate.tsx';
import { RunPlate } from '../drawing/RunPlate.tsx';
import { MainAct, SideAct } from '../machine/Bar.tsx';
import { BigNumber } from '../machine/DialNumber.tsx';
import { useSystem } from '../store/store.ts';
import { useKeys } from '../ui/keys.ts';
import { GrooveSteps } from './GrooveSteps.tsx';
import { PracticeFrame } from './PracticeFrame.tsx';
import { RealOffs } from './RealOffs.tsx';
import type { useRound } from './useRound.ts';

/** A large step and a small one, by the way: divisions, degrees, teeth. */
const STEPS = { parallel: [10, 1], angled: [10, 1], turn: [10, 1], slip: [5, 1] } as const;

/** One round: brought in by eye against the slack, then run along. */
export function InGroove({ round }: { readonly round: ReturnType<typeof useRound> }) {
  const u = useSystem();
  const r = useMemo(() => grooveRound(round.seed, round.level), [round.seed, round.level]);
  const [s, setS] = useState(grooveStart);
  const [running, setRunning] = useState(false);
  const { answer } = round;
  const go = (a: GrooveDo): void => {
    if (!answer && !running) setS((now) => grooveDo(r, now, a));
  };
  const mm = (x: number): string => lengthText(Math.abs(x), u, FINE);
  const way = GROOVE_WAY[r.way];
  const [, small] = STEPS[r.way];
  const move = (n: number): GrooveDo =>
    r.way === 'turn'
      ? { do: 'turn', deg: n }
      : r.way === 'slip'
        ? { do: 'slip', teeth: n }
        : { do: 'slide', divisions: n };
  const moved = r.way === 'turn' ? s.deg : r.way === 'slip' ? s.teeth : s.dialMm;
  const figure =
    r.way === 'turn'
      ? `${roundText(s.deg, 1)}\u00b0`
      : r.way === 'slip'
        ? String(s.teeth)
        : lengthText(Math.abs(s.dialMm), u, { ...FINE, bare: true });
  const facts = <RealOffs r={r} s={s} />;
  const inGroove = (): void => {
    const missed = gradeGroove(r, s);
    if (missed === '') {
      setRunning(true);
      return;
    }
    const off = realOff(r, s);
    round.give({ missed, say: `It cuts ${mm(off)} beside the groove, ${towardsHead(-off)}.`, why: facts });
  };
  const judged = (grows: boolean): void => {
    const missed = gradeRun(r, grows);
    round.give({
      missed,
      say:
        missed === ''
          ? grows
            ? 'It grows: the leads differ, and no offset cures that.'
            : 'In the groove, and all along it.'
          : grows
            ? 'It was the same at all three places.'
            : `It grew by ${mm(r.perMm * r.lengthMm)} over the thread.`,
      why: facts,
    });
  };
  useKeys({
    forward: () => go({ do: 'forward' }),
    over: () => go({ do: 'over' }),
    oneBack: () => go(move(-small)),
    oneOn: () => go(move(small)),
  });
  return (
    <PracticeFrame
      game="groove"
      on={`${r.designation}, ${r.leftHand ? 'left hand' : 'right hand'}; ${WAY_NAMES[r.way].toLowerCase()}`}
      picture={
        running ? (
          <RunPlate
            places={runOff(r, s).map((p) => ({ ...p, sigmaMm: r.pitchMm / 80 }))}
            judged={null}
            lengthMm={r.lengthMm}
            pitchMm={r.pitchMm}
            unit={u}
          />
        ) : (
          <GroovePracticePlate
            r={r}
            s={s}
            seenMm={answer ? realOff(r, s) : seenOff(r, s)}
            shown={answer !== null}
            unit={u}
          />
        )
      }
      head={
        running ? (
          <p className="text-[clamp(1.5rem,4.6cqi,2.1rem)] font-bold leading-tight">
            It is in, where you looked. Run along it in the air: is it in at all three places alike?
          </p>
        ) : (
          <div className="grid gap-2">
            <BigNumber
              what={way.what}
              unit={r.way === 'turn' ? '' : r.way === 'slip' ? 'teeth' : u}
              figure={figure}
              label={`${way.what} stands at ${figure}`}
            />
            <p className="text-xl">
              {moved === 0
                ? 'as it was'
                : `moved ${moved > 0 ? way.plus : way.minus}${r.way === 'angled' ? `; cross slide ${mm(crossOutMm(r, s))} ${s.dialMm > 0 ? 'out' : 'in'}` : ''}`}
            </p>
          </div>
        )
      }
      step={!running && <GrooveSteps r={r} s={s} by={STEPS[r.way]} onStep={(n) => go(move(n))} />}
      main={
        running ? (
          <MainAct onClick={() => judged(false)}>Alike at all three</MainAct>
        ) : (
          <MainAct onClick={inGroove} then="run along it">
            It is in the groove
          </MainAct>
        )
      }
      sides={
        running ? (
          <SideAct onClick={() => judged(true)}>It grows along the thread</SideAct>
        ) : (
          <>
            <SideAct onClick={() => go({ do: 'forward' })}>Spindle forward a little</SideAct>
            <SideAct onClick={() => go({ do: 'over' })}>
              <Eye aria-hidden size={20} /> {s.over ? 'Eye beside it' : 'Eye over the tool'}
            </SideAct>
          </>
        )
      }
      answer={answer}
      onNext={round.next}
    />
  );
}
