import { useMemo } from 'react';
import { halfNutsRound } from '../../core/practice/halfNuts.ts';
import { useShop } from '../store/store.ts';
import { leadOfName, practiceLathe } from './practiceLathe.ts';
import { useRound } from './useRound.ts';
import { Link } from 'react-router';
import { NutsRound } from './NutsRound.tsx';

const still = (): boolean => typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** The dial turns with this lathe's own ratio: the lever takes its time, and the nuts drop in at a whole thread. */
export function HalfNuts() {
  const shop = useShop();
  const lathe = practiceLathe(shop);
  const round = useRound('half-nuts');
  const dealt = useMemo(
    () => (lathe ? halfNutsRound(round.seed, round.level, lathe, leadOfName(shop.practice.thread)) : null),
    [lathe, round.seed, round.level, shop.practice.thread],
  );
  if (!lathe || !dealt)
    return (
      <main id="view" className="grid gap-3 p-6">
        <h1 tabIndex={-1} className="text-2xl">
          Half-nuts on the dial
        </h1>
        <p>No lathe of this shop has a chasing dial. Describe one on its page, or choose another practice.</p>
        <Link to="/practice" className="underline underline-offset-4">
          Back to Practice
        </Link>
      </main>
    );
  return (
    <NutsRound
      key={round.seed}
      r={dealt}
      round={round}
      lathe={lathe.name}
      running={shop.practice.pace === 'running' && !still()}
    />
  );
}
