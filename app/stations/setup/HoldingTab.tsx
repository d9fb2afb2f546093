import { useMemo } from 'react';
import clsx from 'clsx';
import { fitOfJob } from '../../../core/job/derive.ts';
import { metalOf, mountedOf, standingOfPart } from '../../../core/job/metal.ts';
import { HOLDINGS, RESTS } from '../../../core/job/schema.ts';
import { holdingOf, type HoldingView } from '../../../core/job/holdingView.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import {
  answerWords,
  bestAct,
  fluidText,
  FORCE_IS_ROUGH,
  forceText,
  GRIP_NAMES,
  GRIP_TEXT,
  LIMIT_TEXT,
  repeatsText,
  REST_NAMES,
  unsaidText,
} from '../../../words/holding.ts';
import { HOLDING_NAMES } from '../../../words/ledger.ts';
import { BendPlate, GripBar } from '../../drawing/BendPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { RunOut } from './RunOut.tsx';

/** How the work is held, what gives way and by how much, whether the chuck holds it, and what the trade does about it. */
export function HoldingTab() {
  const { job } = useJobView();
  const shop = useShop();
  // what was cut meanwhile changes nothing here but the surface measured
  const view = useMemo(() => holdingOf(job, shop), [job, shop]);
  if (!view) return null;
  const nut = job.intake.make === 'internal';
  return (
    <div className="grid gap-3">
      {view.answers.length > 0 && <Bending view={view} />}
      {view.missing.length > 0 && <Note tone="caution">{unsaidText(view.missing)}</Note>}
      {view.binds.map((b) => (
        <Note key={b} tone={b === 'neck' ? 'wrong' : 'caution'}>
          {LIMIT_TEXT[b]}
        </Note>
      ))}
      {nut ? <BarFields view={view} /> : <HeldFields />}
      <Grip view={view} />
      {view.fluid && <Note tone="say">{fluidText(view.fluid.fluid, view.fluid.otherFluid)}</Note>}
      {view.passes.length > 0 && <p className="text-sm text-ink2">{FORCE_IS_ROUGH}</p>}
      <RunOut />
    </div>
  );
}

function HeldFields() {
  const { job } = useJobView();
  const system = useSystem();
  const { held } = job.setup;
  const metal = metalOf(job);
  const mounted = metal.mounted ? mountedOf(standingOfPart(job, metal.part)) : null;
  const otherwise =
    mounted !== null && held.by !== null && (mounted.holding !== held.by || mounted.steady !== held.rest);
  return (
    <>
      {mounted && (held.by === null || otherwise) && (
        <Note tone="again">
          It is put up {HOLDING_NAMES[mounted.holding]}
          {mounted.steady === 'none' ? '' : `, ${REST_NAMES[mounted.steady]}`}
          {otherwise ? ', otherwise than is said here.' : '.'}{' '}
          <Button onClick={() => act({ do: 'setUp', held: { by: mounted.holding, rest: mounted.steady } })}>
            Take it as it is put up
          </Button>
        </Note>
      )}
      <Choice
        label="Held"
        value={held.by ?? ''}
        options={[
          { value: '', label: 'not said' },
          ...HOLDINGS.map((value) => ({ value, label: HOLDING_NAMES[value] })),
        ]}
        onChange={(v) => act({ do: 'setUp', held: { by: HOLDINGS.find((h) => h === v) ?? null } })}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <LengthField
          label={held.by === 'centres' ? 'Between the centres' : 'Free of the jaws'}
          mm={held.freeMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 20_000 }}
          onClear={() => act({ do: 'setUp', held: { freeMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { freeMm: mm } })}
        />
        <LengthField
          label="Bore, if it is hollow"
          mm={held.boreMm}
          system={system}
          placeholder="solid"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', held: { boreMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { boreMm: mm } })}
        />
        <LengthField
          label="Diameter in the jaws"
          mm={held.inJawsMm}
          system={system}
          placeholder="as the blank"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', held: { inJawsMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { inJawsMm: mm } })}
        />
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          label="Rest"
          value={held.rest}
          options={RESTS.map((value) => ({ value, label: REST_NAMES[value] }))}
          onChange={(rest) => act({ do: 'setUp', held: { rest } })}
        />
        <Choice
          label="Chuck"
          value={held.grip ?? ''}
          options={[
            { value: '', label: 'not said' },
            { value: 'firm', label: GRIP_NAMES.firm },
            { value: 'light', label: GRIP_NAMES.light },
          ]}
          onChange={(v) => act({ do: 'setUp', held: { grip: v === '' ? null : v } })}
        />
        <Choice
          label="Stop inside, or a shoulder on the jaws"
          value={held.stop ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(v) => act({ do: 'setUp', held: { stop: v === 'yes' } })}
        />
      </div>
      {held.rest === 'steady' && (
        <LengthField
          label="Steady stands from the jaws"
          mm={held.steadyAtMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 20_000 }}
          onClear={() => act({ do: 'setUp', held: { steadyAtMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { steadyAtMm: mm } })}
        />
      )}
    </>
  );
}

function BarFields({ view }: { readonly view: HoldingView }) {
  const { job } = useJobView();
  const system = useSystem();
  const { bar } = job.setup;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <LengthField
          label="Neck of the bar"
          mm={bar.neckMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 500 }}
          onClear={() => act({ do: 'setUp', bar: { neckMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', bar: { neckMm: mm } })}
          hint={
            view.thickestNeckMm === null
              ? undefined
              : view.thickestNeckMm > 0
                ? `at most ${lengthText(view.thickestNeckMm, system, { stepMm: 0.1, stepIn: 0.005 })}, to come out of its groove`
                : 'no bar comes out of so deep a groove in so small a bore'
          }
        />
        <LengthField
          label="Out of its holder, to the tip"
          mm={bar.overhangMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', bar: { overhangMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', bar: { overhangMm: mm } })}
        />
        <LengthField
          label="From the tip to its back"
          mm={job.setup.barMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 500 }}
          onClear={() => act({ do: 'setUp', barMm: null })}
          onCommit={(mm) => act({ do: 'setUp', barMm: mm })}
          hint="how far it can be drawn out in the bore follows"
        />
      </div>
      <Choice
        label="Bar of"
        value={bar.of}
        options={[
          { value: 'steel', label: 'steel' },
          { value: 'carbide', label: 'carbide' },
        ]}
        onChange={(of) => act({ do: 'setUp', bar: { of } })}
      />
    </>
  );
}

/** The picture, the number to act on, and the answers in the trade's order. */
function Bending({ view }: { readonly view: HoldingView }) {
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

function Grip({ view }: { readonly view: HoldingView }) {
  const { grip, passes, motorKw } = view;
  const hardest = passes.reduce(
    (a, p) => (p.mainN > a.mainN ? p : a),
    passes[0] ?? { mainN: 0, radialN: 0, axialN: 0, powerKW: null },
  );
  if (passes.length === 0) return null;
  return (
    <section aria-label="Force of the hardest pass" className="grid gap-2">
      <div className="grid gap-2 sm:grid-cols-4">
        <Figure label="Hardest pass, round" value={forceText(hardest.mainN)} />
        <Figure label="square to the axis" value={forceText(hardest.radialN)} />
        <Figure label="along the axis" value={forceText(hardest.axialN)} />
        <Figure
          label="power"
          value={hardest.powerKW === null ? 'speed not known' : `${hardest.powerKW.toFixed(2)} kW`}
          other={motorKw === null ? 'motor not described' : `motor ${motorKw} kW`}
        />
      </div>
      {grip && (
        <div>
          <p className="font-semibold">
            {GRIP_TEXT[grip.holds]}{' '}
            <span className="font-normal text-ink2">Friction of the chuck, and what is asked of it twice over, kN</span>
          </p>
          <GripBar least={grip.givesN.least} most={grip.givesN.most} needs={grip.needsN} w={640} />
        </div>
      )}
    </section>
  );
}
