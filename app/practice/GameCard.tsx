import { type Game, levelOf, goOf, lastGo, bestOf, LEVELS } from '../../core/practice/rounds.ts';
import { useShop } from '../store/store.ts';
import { GAME_NAMES, LEVEL_NAMES } from '../../words/practice.ts';
import { GamePicture } from './GamePicture.tsx';
import { Rounds } from './Rounds.tsx';
import clsx from 'clsx';
import { Link } from 'react-router';

export function Card({ game, first }: { readonly game: Game; readonly first: boolean }) {
  const { results } = useShop().practice;
  const level = levelOf(results, game);
  const go = goOf(results, game);
  const last = lastGo(results, game);
  const best = bestOf(results, game);
  const { name, is } = GAME_NAMES[game];
  return (
    <section
      aria-label={name}
      className="grid grid-cols-[10rem_minmax(0,1fr)] gap-4 border border-line bg-panel p-3 max-sm:grid-cols-1"
    >
      <GamePicture game={game} />
      <div className="grid content-start gap-2">
        <h2 className="text-xl font-bold">{name}</h2>
        <p className="text-ink2">{is}</p>
        <div className="flex flex-wrap items-center gap-3">
          <Rounds of={go.length > 0 ? go : last} />
          {best !== null && (
            <span className="text-ink2">
              best <strong className="num text-ink">{best}</strong> of 10
            </span>
          )}
        </div>
        <div>
          <span role="img" aria-label={`Level ${level} of ${LEVELS}`} className="flex">
            {Array.from({ length: LEVELS }, (_, i) => (
              <span key={i} className={clsx('h-3 grow border border-edge', i < level ? 'bg-blue' : 'bg-inset')} />
            ))}
          </span>
          <p className="mt-1 text-sm">
            <strong>
              Level {level} of {LEVELS}:
            </strong>{' '}
            {LEVEL_NAMES[game][level - 1]}
          </p>
        </div>
        <Link
          to={`/practice/${game}`}
          className={clsx(
            'mt-1 inline-flex min-h-12 items-center justify-center rounded-[4px] border-2 px-4 text-lg font-bold',
            first ? 'straw border-[#17130a]' : 'border-edge bg-inset hover:bg-panel',
          )}
        >
          {go.length > 0
            ? `Go on, round ${go.length + 1}`
            : results.some((r) => r.game === game)
              ? 'Start ten'
              : 'Try it'}
        </Link>
      </div>
    </section>
  );
}
