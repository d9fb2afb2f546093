import { useMemo } from 'react';
import { gradePlace, MOTIONS, placeRound, type MotionWord } from '../../core/practice/place.ts';
import { cardAsks, collarText, MOTION_NAMES, PLACE_SEES } from '../../words/practice.ts';
import { PlacePlate } from '../drawing/PlacePlate.tsx';
import { BigNumber } from '../machine/DialNumber.tsx';
import { Button } from '../ui/controls.tsx';
import { useKeys } from '../ui/keys.ts';
import { PracticeFrame } from './PracticeFrame.tsx';
import { useRound } from './useRound.ts';

/** Called away in the middle of a run of passes: from what is seen, what comes next. */
export function Place() {
  const round = useRound('place');
  return <Round key={round.seed} round={round} />;
}

function Round({ round }: { readonly round: ReturnType<typeof useRound> }) {
  const r = useMemo(() => placeRound(round.seed, round.level), [round.seed, round.level]);
  const { answer } = round;
  const say = (m: MotionWord): void => {
    if (answer) return;
    const missed = gradePlace(r, m);
    round.give({
      missed,
      say: `Next is ${MOTIONS.indexOf(r.right) + 1} ${MOTION_NAMES[r.right].word}: ${MOTION_NAMES[r.right].how}.`,
      why: (
        <p className="text-xl leading-snug">
          Pass {r.pass}: {MOTION_NAMES[r.last].word} was done. The tool is {PLACE_SEES.tool[r.tool]},{' '}
          {PLACE_SEES.toolAt[r.toolAt]}, the spindle ran {PLACE_SEES.spindleRan[r.spindleRan]}, and the collar shows{' '}
          {r.feeds === r.asks ? 'this pass' : 'the pass before'}.
        </p>
      ),
    });
  };
  useKeys({
    answer: (place) => {
      const m = MOTIONS[place];
      if (m) say(m);
    },
  });
  const inside = r.internal ? 'Inside, the tool comes out away from you, towards the axis.' : null;
  return (
    <PracticeFrame
      game="place"
      on={`${r.thread}${r.internal ? ', a nut' : ''}${r.leftHand ? ', left hand' : ''}; ${r.of} passes, half-nuts shut all along`}
      picture={<PlacePlate r={r} />}
      head={
        <div className="grid gap-2">
          <p className="text-[clamp(1.5rem,4.6cqi,2.1rem)] font-bold leading-tight">
            Somebody called you away. You come back to this. What is the next motion?
          </p>
          <div className="grid grid-cols-2 gap-4">
            <div className="min-w-0 [container-type:inline-size]">
              <BigNumber
                what="Cross slide"
                unit=""
                figure={collarText(r, r.draws)}
                label={`Cross slide collar shows ${collarText(r, r.draws)}`}
              />
            </div>
            <div className="min-w-0 [container-type:inline-size]">
              <BigNumber
                what="Top slide"
                unit=""
                figure={collarText(r, r.feeds)}
                label={`Top slide collar shows ${collarText(r, r.feeds)}`}
              />
            </div>
          </div>
          <p className="text-xl leading-snug">
            The collars say nothing of whole turns. The card has pass {r.pass} at{' '}
            <strong className="num">{cardAsks(r, r.asks)}</strong>, its box is{' '}
            <strong>{r.ticked ? 'ticked' : 'not ticked'}</strong>; pass {r.pass - 1} was at{' '}
            <span className="num">{cardAsks(r, r.before)}</span>.
          </p>
        </div>
      }
      step={
        <div className="grid gap-3">
          {inside && <p className="text-lg font-semibold text-stop">{inside}</p>}
          <dl className="grid grid-cols-2 gap-x-6 gap-y-1 text-lg">
            {[
              ['tool', `${PLACE_SEES.tool[r.tool]}, ${PLACE_SEES.toolAt[r.toolAt]}`],
              ['spindle', PLACE_SEES.spindleRan[r.spindleRan]],
              ['chips', PLACE_SEES.chips[r.chips]],
              ['drawn out by', `${r.outTurns} whole turn${r.outTurns === 1 ? '' : 's'} each time`],
            ].map(([k, v]) => (
              <div key={k}>
                <dt className="text-ink2">{k}</dt>
                <dd className="font-semibold">{v}</dd>
              </div>
            ))}
          </dl>
        </div>
      }
      main={
        <div role="group" aria-label="The next motion" className="flex w-full flex-wrap gap-2">
          {MOTIONS.map((m, i) => (
            <Button key={m} className="bar-main min-w-28 grow flex-col gap-0 px-2" onClick={() => say(m)}>
              <span className="text-xl font-bold">
                {i + 1} {MOTION_NAMES[m].word}
              </span>
              <span className="text-sm leading-tight max-lg:hidden">{MOTION_NAMES[m].how}</span>
            </Button>
          ))}
        </div>
      }
      answer={answer}
      onNext={round.next}
    />
  );
}
