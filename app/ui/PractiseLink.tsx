import { Link } from 'react-router';
import type { Game } from '../../core/practice/rounds.ts';
import { GAME_NAMES } from '../../words/practice.ts';

/** Where a motion is done it can be practised, without a part. */
export function PractiseLink({ game }: { readonly game: Game }) {
  return (
    <Link to={`/practice/${game}`} className="inline-flex min-h-12 items-center underline underline-offset-4">
      Practise it: {GAME_NAMES[game].name.replace(/^./, (c) => c.toLowerCase())}
    </Link>
  );
}
