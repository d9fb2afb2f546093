import type { HoldingView } from '../../../core/job/holdingView.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { bestAct, repeatsText, answerWords } from '../../../words/holding.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { BendPlate } from '../../drawing/BendPlate.tsx';
import clsx from 'clsx';

/** The picture, the number to act on, and the answers in the trade's order. */
export function Bending({ view }: { readonly view: HoldingView }) {
  const { job } = useJobView();
  const system = useSystem();
  const fit = fitOfJob(job);
  const { held } = job.setup;
  const [now] = view.answers;
  if (!fit || !now) return null;
  const best = view.best ? bestAct(view.best, system) : null;
  const mm = (x: number): string => lengthText(x, system, { ...FINE, bare: true });
  const nut = fit.make === 'internal';
  return (
    <div className="grid gap-3 md:grid-cols-[minmax(0,1fr)_18rem]">
      {nut ? (
        <div className="grid content-start gap-2">
          <p className="text-lg">At full depth the bar stands back by</p>
          <p className="num text-[4.5rem] font-bold leading-none">
            {mm(now.along.worstMm / 2)}
            <span className="ml-2 text-2xl text-ink2">{system}</span>
          </p>
          <p>
            of the dial&rsquo;s depth after the passes planned; the nut comes out {mm(now.along.worstMm)} small, and may
            be {mm(view.allowedMm)}.
          </p>
          <p>{repeatsText(view.repeats, system)}</p>
        </div>
      ) : (
        <div className="grid gap-2">
          <BendPlate
            atMm={view.atMm}
            freeMm={held.freeMm ?? 1}
            diameterMm={fit.pitchDiameterMm}
            by={held.by ?? 'chuck'}
            rest={held.rest}
            steadyAtMm={held.steadyAtMm}
            now={now}
            best={view.best}
            allowedMm={view.allowedMm}
            system={system}
          />
          <p>{repeatsText(view.repeats, system)}</p>
        </div>
      )}
      <div className="grid content-start border border-edge bg-panel">
        <div className="grid gap-1 border-b border-line p-3">
          {best ? (
            <>
              <p className="text-xl font-bold">{best.act}</p>
              {best.figure !== '' && (
                <p className="num text-[3.5rem] font-bold leading-none">
                  {best.figure}
                  <span className="ml-2 text-2xl text-ink2">{best.unit}</span>
                </p>
              )}
            </>
          ) : (
            <>
              <p className="text-xl font-bold">As held will do</p>
              <p className="num text-[3.5rem] font-bold leading-none">
                {mm(now.along.worstMm)}
                <span className="ml-2 text-2xl text-ink2">{system}</span>
              </p>
            </>
          )}
          <p className="text-sm text-ink2">
            {nut ? 'small' : 'big'} on diameter; it may be {mm(view.allowedMm)}
          </p>
        </div>
        <ol aria-label="Answers, in the trade&rsquo;s order">
          {view.answers.map((a) => {
            const words = answerWords(a, system);
            return (
              <li
                key={a.code}
                aria-current={a === view.best ? 'true' : undefined}
                className={clsx(
                  'flex min-h-14 items-center justify-between gap-3 border-b border-line px-3 py-1',
                  a === view.best && 'border-l-6 border-l-ink bg-inset',
                  !a.can && 'text-ink2',
                )}
              >
                <span className="leading-tight">
                  {words.what}
                  <span className="block text-sm text-ink2">{words.how}</span>
                </span>
                <span className="num text-xl font-bold">{mm(a.along.worstMm)}</span>
              </li>
            );
          })}
        </ol>
      </div>
    </div>
  );
}
