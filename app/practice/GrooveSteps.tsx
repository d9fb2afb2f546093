import type { GrooveRound, GrooveState } from '../../core/practice/groove.ts';
import { GROOVE_WAY } from '../../words/practice.ts';
import { Button } from '../ui/controls.tsx';

interface Props {
  readonly r: GrooveRound;
  readonly s: GrooveState;
  /** A large step and a small one, in what the way moves by. */
  readonly by: readonly [number, number];
  readonly onStep: (n: number) => void;
}

/** A step back or on by what the way moves, and what is known of the slack and of where one looks from. */
export function GrooveSteps({ r, s, by: [large, small], onStep }: Props) {
  const way = GROOVE_WAY[r.way];
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-4 gap-2">
        {[-large, -small, small, large].map((n) => (
          <Button key={n} big className="flex-col gap-0" onClick={() => onStep(n)}>
            <span className="num text-xl font-bold">
              {n < 0 ? '\u25c2' : ''} {Math.abs(n)} {n > 0 ? '\u25b8' : ''}
            </span>
            <span className="text-sm">{n > 0 ? way.plus : way.minus}</span>
          </Button>
        ))}
      </div>
      <p className="text-lg leading-snug">
        {r.carriageSlackMm === 0
          ? 'This drive has no slack.'
          : s.slackTaken
            ? 'The slack is up.'
            : 'The slack is not taken up.'}{' '}
        {s.over ? 'You look straight over the tool.' : 'You look from beside the tool.'}
      </p>
    </div>
  );
}
