import { useRound } from './useRound.ts';
import { InGroove } from './InGroove.tsx';

/** An old thread in a lathe with slack and a line of sight: brought in by the way dealt, then run along. */
export function Groove() {
  const round = useRound('groove');
  return <InGroove key={round.seed} round={round} />;
}
