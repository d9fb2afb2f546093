import clsx from 'clsx';
import { useEffect, type ReactNode } from 'react';
import { Check, ChevronLeft, ChevronRight, X } from 'lucide-react';
import { useNavigate } from 'react-router';
import { goOf, TEN, type Game } from '../../core/practice/rounds.ts';
import { GAME_NAMES, missedWords } from '../../words/practice.ts';
import { Bar, MainAct, SideAct } from '../machine/Bar.tsx';
import { useAwake, useSpoken } from '../machine/awake.ts';
import { usePrefs } from '../machine/prefs.ts';
import { BarButton } from '../shell/BarButton.tsx';
import { useShop } from '../store/store.ts';
import { Refusal } from '../ui/Refusal.tsx';
import { Rounds } from './Rounds.tsx';

/** How a round ended: what was missed (empty: nothing), its reason, and what the others would have given. */
export interface Answer {
  readonly missed: string;
  readonly say: string;
  readonly why: ReactNode;
}

interface Props {
  readonly game: Game;
  /** What it is practised on. */
  readonly on: string;
  readonly picture: ReactNode;
  readonly head: ReactNode;
  readonly step?: ReactNode;
  readonly main: ReactNode;
  readonly sides?: ReactNode;
  readonly answer: Answer | null;
  readonly onNext: () => void;
}

/** A practice as at the machine: picture, number, act; after it the reason, and the next round. */
export function PracticeFrame({ game, on, picture, head, step, main, sides, answer, onNext }: Props) {
  const { practice } = useShop();
  const navigate = useNavigate();
  const { spoken } = usePrefs();
  const go = goOf(practice.results, game);
  const ended = answer !== null && go.length === 0;
  const words = answer && answer.missed !== '' ? missedWords(game, answer.missed) : null;
  const name = GAME_NAMES[game].name;
  useAwake();
  useSpoken(answer?.say ?? '', spoken);
  useEffect(() => {
    document.title = `${name} \u00b7 Practice \u00b7 Gelvin`;
  }, [name]);
  const leave = (): void => void navigate('/practice');
  return (
    <div className="machine grid h-dvh grid-rows-[auto_minmax(0,1fr)]">
      <header className="flex h-[52px] items-center gap-2 border-b-2 border-edge px-1">
        <BarButton label="Back to Practice" onClick={leave}>
          <ChevronLeft aria-hidden size={26} />
        </BarButton>
        <span className="shrink-0 rounded-[3px] bg-plate px-3 py-1 text-lg font-bold text-scribe" aria-hidden>
          {name}
        </span>
        <span className="min-w-0 flex-1 truncate text-ink2 max-sm:hidden">{on}</span>
        <span className="ml-auto flex shrink-0 items-center gap-3 pr-2">
          <span className="text-ink2 sm:max-lg:hidden">
            <span className="max-sm:sr-only">round </span>
            {ended ? TEN : go.length + (answer ? 0 : 1)} of {TEN}
          </span>
          {/* in the hand there is room for the count alone */}
          <span className="max-sm:sr-only">
            <Rounds of={go} now={answer === null} />
          </span>
        </span>
      </header>
      <main id="view" className="min-h-0">
        <h1 tabIndex={-1} className="sr-only">
          {name}
        </h1>
        <section aria-label={name} className="grid h-full grid-rows-[minmax(0,1fr)_auto]">
          <div className="machine-body machine-picture-first gap-x-5 gap-y-2 overflow-y-auto p-3">
            <div className="machine-head min-w-0">
              <Refusal />
              {answer ? (
                <div role="status" className="grid gap-3">
                  <p
                    className={clsx(
                      'flex items-center gap-2 text-2xl font-bold',
                      answer.missed === '' ? 'text-good' : 'text-stop',
                    )}
                  >
                    {answer.missed === '' ? <Check aria-hidden size={26} /> : <X aria-hidden size={26} />}
                    {answer.missed === '' ? 'Right' : (words?.name ?? 'Not so')}
                  </p>
                  <p className="text-[clamp(1.5rem,4.6cqi,2.1rem)] font-bold leading-tight">{answer.say}</p>
                  {words && words.why !== '' && <p className="text-xl leading-snug">{words.why}</p>}
                </div>
              ) : (
                head
              )}
            </div>
            <div className="machine-picture min-h-0 min-w-0">{picture}</div>
            <div className="machine-step min-w-0">
              {answer ? (
                <div className="grid gap-3 self-start">
                  {answer.why}
                  {words && words.onLathe !== '' && (
                    <p className="border-t-2 border-edge pt-2 text-xl leading-snug">
                      <span className="text-ink2">On the lathe: </span>
                      {words.onLathe}
                    </p>
                  )}
                </div>
              ) : (
                step
              )}
            </div>
          </div>
          <div className="machine-bar no-print border-t-2 border-edge p-2 lg:p-3">
            <Bar
              main={
                answer ? (
                  <MainAct onward onClick={ended ? leave : onNext}>
                    {ended ? 'The ten are done' : `Round ${go.length + 1}`}
                  </MainAct>
                ) : (
                  main
                )
              }
            >
              <SideAct onClick={leave}>Leave</SideAct>
              {answer
                ? ended && (
                    <SideAct onClick={onNext}>
                      Ten more <ChevronRight aria-hidden size={20} />
                    </SideAct>
                  )
                : sides}
            </Bar>
          </div>
        </section>
      </main>
    </div>
  );
}
