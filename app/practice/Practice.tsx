import { useShop, editShop } from '../store/store.ts';
import { useThreads } from './useThreads.ts';
import { practiceLathe } from './practiceLathe.ts';
import { missedOf, GAMES, goOf } from '../../core/practice/rounds.ts';
import { Page } from '../shop/Page.tsx';
import { Panel } from '../ui/controls.tsx';
import { Choice } from '../ui/choices.tsx';
import { missedWords, GAME_NAMES } from '../../words/practice.ts';
import { Link } from 'react-router';
import { Card } from './GameCard.tsx';

const MISSED_SHOWN = 6;

/** Four motions that scrap most parts, without a part: how far one has come in each, and what was missed most. */
export function Practice() {
  const shop = useShop();
  const { results, pace, thread } = shop.practice;
  const threads = useThreads();
  const lathe = practiceLathe(shop);
  const withDial = shop.lathes.filter((l) => l.dial !== null);
  const missed = missedOf(results).slice(0, MISSED_SHOWN);
  const most = missed[0]?.times ?? 1;
  return (
    <Page
      title="Practice"
      lead="The motions that scrap most parts, without a part. Ten rounds at a time; it gets harder as it goes well."
    >
      <div className="flex flex-wrap gap-4">
        {withDial.length > 1 && (
          <Choice
            label="The dial of"
            value={lathe?.id ?? ''}
            options={withDial.map((l) => ({ value: l.id, label: l.name }))}
            onChange={(v) => editShop('practise on another lathe', (d) => void (d.practice.lathe = v))}
          />
        )}
        {threads.length > 0 && (
          <label className="grid gap-1 text-sm text-ink2">
            With the thread of
            <select
              className="min-h-12 border border-edge bg-panel px-3 text-base text-ink"
              value={thread}
              onChange={(e) => editShop('practise on another thread', (d) => void (d.practice.thread = e.target.value))}
            >
              <option value="">as the level deals</option>
              {threads.map((t) => (
                <option key={t.thread} value={t.thread}>
                  {t.title}, {t.thread}
                </option>
              ))}
            </select>
          </label>
        )}
        <Choice
          label="The dial turns"
          value={pace}
          options={[
            { value: 'own', label: 'at my own pace' },
            { value: 'running', label: 'with the spindle running' },
          ]}
          onChange={(v) => editShop('change the pace', (d) => void (d.practice.pace = v))}
        />
      </div>
      <ul className="grid gap-4 md:grid-cols-2">
        {GAMES.map((g) => (
          <li key={g} className="grid">
            <Card game={g} first={g === (GAMES.find((x) => goOf(results, x).length > 0) ?? GAMES[0])} />
          </li>
        ))}
      </ul>
      {missed.length > 0 && (
        <Panel title={`What was missed, of ${results.length} rounds`}>
          <ul className="grid">
            {missed.map((m) => (
              <li
                key={`${m.game} ${m.missed}`}
                className="grid grid-cols-[minmax(0,1fr)_minmax(4rem,12rem)_2rem_auto] items-center gap-3 border-t border-line"
              >
                <span>{missedWords(m.game, m.missed).name}</span>
                <span aria-hidden className="h-3 border border-edge bg-inset">
                  <span className="block h-full bg-blue" style={{ width: `${(m.times / most) * 100}%` }} />
                </span>
                <span className="num text-right font-bold">{m.times}</span>
                <Link
                  to={`/practice/${m.game}`}
                  className="flex min-h-11 items-center px-2 underline underline-offset-4"
                  aria-label={`Practise ${GAME_NAMES[m.game].name} again`}
                >
                  Again
                </Link>
              </li>
            ))}
          </ul>
        </Panel>
      )}
    </Page>
  );
}
