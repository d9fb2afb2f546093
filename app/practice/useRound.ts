import { useState } from 'react';
import { levelOf, seedOf, withResult, type Game } from '../../core/practice/rounds.ts';
import { editShop, store, useShop } from '../store/store.ts';
import type { Answer } from './PracticeFrame.tsx';

/** One round of a game: dealt once, kept until it is answered, then the next. */
export function useRound(game: Game): {
  readonly seed: number;
  readonly level: number;
  readonly answer: Answer | null;
  readonly give: (a: Answer) => void;
  readonly next: () => void;
} {
  const { practice } = useShop();
  const [dealt, setDealt] = useState(() => ({
    seed: seedOf(practice.results, game),
    level: levelOf(practice.results, game),
  }));
  const [answer, setAnswer] = useState<Answer | null>(null);
  return {
    ...dealt,
    answer,
    give: (a) => {
      const at = new Date().toISOString();
      const kept = editShop('a round of practice', (d) => {
        d.practice.results = withResult(d.practice.results, {
          game,
          level: dealt.level,
          right: a.missed === '',
          missed: a.missed,
          at,
        });
      });
      if (kept === null) setAnswer(a);
    },
    next: () => {
      const results = store.getState().work.shop?.present.practice.results ?? [];
      setDealt({ seed: seedOf(results, game), level: levelOf(results, game) });
      setAnswer(null);
    },
  };
}
