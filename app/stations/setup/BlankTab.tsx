import { blankSheet, type BlankFigure } from '../../../core/job/blankSheet.ts';
import { latheOf } from '../../../core/job/derive.ts';
import { endsOf } from '../../../core/job/endView.ts';
import { FOUND_BY, TRUE_WITH } from '../../../core/job/schema.ts';
import {
  BLANK_MISSING,
  BLANK_NAMES,
  blankFigureText,
  FOUND_BY_NAMES,
  NOTHING_TURNED,
  NUT_FIRST,
  PROVE_GEARS_FIRST,
  TRUE_WITH_NAMES,
  trialText,
} from '../../../words/blank.ts';
import { END_NAMES } from '../../../words/endOfThread.ts';
import { BlankPlate } from '../../drawing/BlankPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { recutting } from '../../../core/job/recut.ts';
import { Note } from '../../ui/controls.tsx';
import { CleanUp } from '../fit/CleanUp.tsx';
import { Choice, Toggles } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useWorking } from '../../ui/Working.tsx';

/** The blank before anything is threaded, its dimensions, and what has to be done in the same setting. */
export function BlankTab() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const sheet = blankSheet(job, shop);
  if (!sheet) return null;
  const lathe = latheOf(job, shop);
  const nut = sheet.make === 'internal';
  const { setup } = job;
  const chosen = setup.trueWith.map((t) => t.what);
  const undone = setup.trueWith.filter((t) => !t.done);
  return (
    <div className="grid gap-3">
      {recutting(job) ? (
        <>
          <Note tone="say">{NOTHING_TURNED}</Note>
          <CleanUp />
        </>
      ) : (
        <>
          <BlankPlate sheet={sheet} system={system} />
          <ul className="grid border border-edge bg-panel sm:grid-cols-2" aria-label="Dimensions of the blank">
            {sheet.figures.map((f) => (
              <FigureRow key={f.code} f={f} />
            ))}
          </ul>
        </>
      )}
      {sheet.missing.map((m) => (
        <Note key={m} tone="caution">
          {BLANK_MISSING[m]}
        </Note>
      ))}
      {sheet.grooveTooNarrow && (
        <Note tone="wrong">The groove given is narrower than the speed chosen wants: go slower, or make it wider.</Note>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        <LengthField
          label="Length of thread"
          mm={setup.lengthMm}
          system={system}
          placeholder="not said"
          rule={{ maxMm: 10_000 }}
          onClear={() => act({ do: 'setUp', lengthMm: null })}
          onCommit={(mm) => act({ do: 'setUp', lengthMm: mm })}
        />
        <Choice
          label="How the thread ends"
          value={setup.end}
          options={endsOf(sheet.make).map((value) => ({
            value,
            label: END_NAMES[value],
          }))}
          onChange={(v) => act({ do: 'setUp', end: v })}
        />
      </div>
      <Toggles
        label="What must run true with the thread, and is done in the same setting"
        options={TRUE_WITH.map((value) => ({ value, label: TRUE_WITH_NAMES[value] }))}
        chosen={chosen}
        onChange={(next) =>
          act({
            do: 'setUp',
            trueWith: TRUE_WITH.filter((t) => next.includes(t)).map(
              (what) => setup.trueWith.find((t) => t.what === what) ?? { what, done: false },
            ),
          })
        }
      />
      {chosen.length > 0 && (
        <Toggles
          label={undone.length > 0 ? 'Done so far' : 'Done, all of it'}
          options={setup.trueWith.map((t) => ({ value: t.what, label: TRUE_WITH_NAMES[t.what] }))}
          chosen={setup.trueWith.filter((t) => t.done).map((t) => t.what)}
          onChange={(done) =>
            act({ do: 'setUp', trueWith: setup.trueWith.map((t) => ({ ...t, done: done.includes(t.what) })) })
          }
        />
      )}
      <Choice
        label="How the work is found again once it was taken out"
        value={setup.foundBy ?? ''}
        options={[
          { value: '', label: 'not said' },
          ...FOUND_BY.map((value) => ({ value, label: FOUND_BY_NAMES[value] })),
        ]}
        onChange={(v) => act({ do: 'setUp', foundBy: FOUND_BY.find((f) => f === v) ?? null })}
      />
      {lathe && <Note tone="say">{trialText(lathe.screwedChuck)}</Note>}
      {nut && <Note tone="say">{NUT_FIRST}</Note>}
      {nut && <Note tone="say">{PROVE_GEARS_FIRST}</Note>}
    </div>
  );
}

function FigureRow({ f }: { readonly f: BlankFigure }) {
  const system = useSystem();
  const { figure, limits } = blankFigureText(f, system);
  const show = useWorking(`blank-${f.code}`, BLANK_NAMES[f.code], [f.step]);
  return (
    <li className="border-b border-line">
      <button
        type="button"
        onClick={show}
        title="Show how this came about"
        className="print-keep flex min-h-14 w-full items-center justify-between gap-3 px-3 text-left hover:bg-inset"
      >
        <span>
          {BLANK_NAMES[f.code]}
          {limits !== null && <span className="block text-sm tabular-nums text-ink2">{limits}</span>}
        </span>
        <span className="num text-xl font-bold">{figure}</span>
      </button>
    </li>
  );
}
