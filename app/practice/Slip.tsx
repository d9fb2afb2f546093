import { useMemo, useState } from 'react';
import clsx from 'clsx';
import { gradeSlip, READS, READ_TO, readWith, slipRound, type Slip as OneSlip } from '../../core/practice/slip.ts';
import { READ_NAMES, readText, slipText } from '../../words/practice.ts';
import { ScratchPlate } from '../drawing/ScratchPlate.tsx';
import { MainAct } from '../machine/Bar.tsx';
import { useSystem } from '../store/store.ts';
import { useKeys } from '../ui/keys.ts';
import { PracticeFrame } from './PracticeFrame.tsx';
import { useRound } from './useRound.ts';

/** A set-up with one mistake: found from what was cut. */
export function Slip() {
  const round = useRound('slip');
  return <Round key={round.seed} round={round} />;
}

function Round({ round }: { readonly round: ReturnType<typeof useRound> }) {
  const u = useSystem();
  const r = useMemo(() => slipRound(round.seed, round.level), [round.seed, round.level]);
  const [chosen, setChosen] = useState<OneSlip | null>(null);
  const { answer } = round;
  const { card } = r;
  const should = readWith(card, { is: 'nothing' });
  const off = READS.filter((k) => Math.abs(r.read[k] - should[k]) > 2 * READ_TO[k]);
  // what decides is what is off; where nothing is, the pitch is looked at
  const tells = off[0] ?? 'tenPitches';
  const pick = (i: number): void => {
    const one = r.choices[i];
    if (one && !answer) setChosen(one);
  };
  useKeys({ answer: pick });
  const say = (): void => {
    if (!chosen) return;
    round.give({
      missed: gradeSlip(r, chosen),
      say: `${slipText(r.right, card, u)}.`,
      why: (
        <table className="w-full text-left text-lg">
          <caption className="pb-1 text-left text-ink2">{READ_NAMES[tells]}, what each would have given</caption>
          <tbody>
            {r.choices.map((s, i) => (
              <tr key={i} className={clsx('border-t border-line', s === r.right && 'bg-panel')}>
                <th scope="row" className={clsx('py-1 pr-2', s === r.right ? 'font-bold' : 'font-normal')}>
                  {slipText(s, card, u)}
                  {s === chosen && s !== r.right && ' \u00b7 you'}
                </th>
                <td className={clsx('num whitespace-nowrap text-right', s === r.right && 'font-bold')}>
                  {readText(tells, readWith(card, s)[tells], u)}
                </td>
              </tr>
            ))}
            <tr className="border-t-2 border-edge">
              <th scope="row" className="py-1 font-normal">
                read
              </th>
              <td className="num text-right font-bold">{readText(tells, r.read[tells], u)}</td>
            </tr>
          </tbody>
        </table>
      ),
    });
  };
  return (
    <PracticeFrame
      game="slip"
      on={card.thread}
      picture={<ScratchPlate r={r} shown={answer !== null} unit={u} />}
      head={
        <div className="grid gap-2">
          <p className="text-[clamp(1.5rem,4.6cqi,2.1rem)] font-bold leading-tight">
            It was set up from the card, and cut. What went wrong?
          </p>
          <table className="w-full text-left text-xl">
            <caption className="sr-only">What was read, and what it should be</caption>
            <thead className="text-base text-ink2">
              <tr>
                <th className="font-normal">what</th>
                <th className="text-right font-normal">read</th>
                <th className="text-right font-normal">should be</th>
              </tr>
            </thead>
            <tbody>
              {READS.map((k) => (
                <tr key={k} className="border-t border-line">
                  <th scope="row" className="py-0.5 font-normal">
                    {READ_NAMES[k]}
                  </th>
                  <td className="num text-right text-2xl font-bold">{readText(k, r.read[k], u)}</td>
                  <td className="num text-right text-ink2">{readText(k, should[k], u)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      }
      step={
        <fieldset>
          <legend className="sr-only">Which is it?</legend>
          <div className="grid gap-2 sm:grid-cols-2">
            {r.choices.map((s, i) => (
              <label
                key={i}
                className="relative flex min-h-14 items-center gap-3 border-2 border-edge bg-panel px-3 py-1 text-lg font-semibold leading-tight hover:bg-inset has-checked:bg-ink has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue"
              >
                <input
                  type="radio"
                  name="slip"
                  className="absolute inset-0 size-full cursor-pointer opacity-0"
                  checked={s === chosen}
                  onChange={() => setChosen(s)}
                />
                <span
                  className="num grid size-8 shrink-0 place-items-center border-2 border-current text-base"
                  aria-hidden
                >
                  {i + 1}
                </span>
                {slipText(s, card, u)}
              </label>
            ))}
          </div>
        </fieldset>
      }
      main={
        <MainAct disabled={chosen === null} onClick={say}>
          {chosen === null ? 'Choose one' : 'That is it'}
        </MainAct>
      }
      answer={answer}
      onNext={round.next}
    />
  );
}
