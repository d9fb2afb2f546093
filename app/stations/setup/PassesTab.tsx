import { useEffect, useMemo, useState } from 'react';
import clsx from 'clsx';
import { ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import { loadsOf } from '../../../core/job/loads.ts';
import { schoolsOf, USUAL_STAGES, type School } from '../../../core/job/schoolsView.ts';
import { toolOfJob } from '../../../core/job/cutPlan.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { forceText, unsaidText } from '../../../words/holding.ts';
import { INFEED_NAMES, RULE_NAMES, stagesText } from '../../../words/setup.ts';
import { FillPlate } from '../../drawing/FillPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note } from '../../ui/controls.tsx';
import { LengthField, TypedField } from '../../ui/fields.tsx';

/** The cut before it is cut: the groove as it fills, force by force; the schools side by side; stages. */
export function PassesTab() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const passes = useMemo(() => loadsOf(job, shop), [job, shop]);
  const schools = useMemo(() => schoolsOf(job, shop), [job, shop]);
  const own = toolOfJob(job);
  const fit = fitOfJob(job);
  if (!own || !fit) return null;
  return (
    <div className="grid gap-3">
      {passes.length === 0 ? (
        <Note tone="caution">{unsaidText(['force'])}</Note>
      ) : (
        <Simulation key={passes.length} passes={passes} />
      )}
      {schools.length > 0 && <Schools schools={schools} />}
      <Stages />
      <p className="text-sm text-ink2">
        Passes planned: {passes.filter((p) => !p.spring).length}
        {job.cut.springs > 0 ? `, then ${job.cut.springs} spring` : ''}; from{' '}
        {lengthText(fit.startDiameterMm, system, FINE)} to a root of {lengthText(fit.rootDiameterMm, system, FINE)}.
      </p>
    </div>
  );
}

const STEP_MS = 420;

function Simulation({ passes }: { readonly passes: ReturnType<typeof loadsOf> }) {
  const { job } = useJobView();
  const system = useSystem();
  const [at, setAt] = useState(passes.length - 1);
  const [plays, play] = useState(false);
  const own = toolOfJob(job);
  const last = passes.length - 1;
  useEffect(() => {
    if (!plays) return undefined;
    const timer = setTimeout(() => {
      setAt(at + 1);
      if (at + 1 >= last) play(false);
    }, STEP_MS);
    return () => clearTimeout(timer);
  }, [plays, at, last]);
  if (!own) return null;
  const now = passes[at];
  const go = (n: number): void => {
    play(false);
    setAt(Math.max(0, Math.min(last, n)));
  };
  return (
    <section aria-label="The groove as it fills" className="grid gap-2">
      <FillPlate
        tool={own.tool}
        leftHand={own.leftHand}
        internal={job.intake.make === 'internal'}
        pitchMm={own.pitchMm}
        passes={passes}
        at={at}
        onAt={go}
        system={system}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Button
          onClick={() => {
            if (!plays && at === last) setAt(0);
            play(!plays);
          }}
        >
          {plays ? <Pause aria-hidden size={20} /> : <Play aria-hidden size={20} />} {plays ? 'Stop' : 'Play'}
        </Button>
        <Button aria-label="Pass before" onClick={() => go(at - 1)}>
          <ChevronLeft aria-hidden size={20} />
        </Button>
        <Button aria-label="Next pass" onClick={() => go(at + 1)}>
          <ChevronRight aria-hidden size={20} />
        </Button>
        {now && (
          <p className="num text-lg" aria-live="polite">
            {now.spring ? 'spring' : `pass ${at + 1}`} of {passes.length}: {lengthText(now.depthMm, system, FINE)} deep,{' '}
            {now.atLeast ? 'at least ' : ''}
            {forceText(now.mainN)}
          </p>
        )}
      </div>
    </section>
  );
}

function Schools({ schools }: { readonly schools: readonly School[] }) {
  const { job } = useJobView();
  const system = useSystem();
  const fine = (mm: number): string => (Math.abs(mm) < 1e-9 ? '0' : lengthText(mm, system, { ...FINE, bare: true }));
  return (
    <section aria-label="Schools side by side" className="min-w-0">
      <h3 className="mb-1 font-semibold">Schools side by side, for this job</h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Schools as a table">
        <table className="w-full text-left tabular-nums">
          <thead>
            <tr className="text-sm text-ink2">
              <th className="py-1 font-normal">fed</th>
              <th className="text-right font-normal">passes</th>
              <th className="text-right font-normal">last chip on the leading flank</th>
              <th className="text-right font-normal">on the trailing</th>
              <th className="text-right font-normal">force at the end</th>
              <th className="text-right font-normal">bends it</th>
              <th className="text-right font-normal">along</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {schools.map((s) => (
              <tr
                key={`${s.infeed} ${s.rule}`}
                className={clsx('border-t border-line', s.chosen && 'bg-inset font-semibold')}
              >
                <th className="py-1 font-normal">
                  {INFEED_NAMES[s.infeed]}
                  <span className="block text-sm text-ink2">{RULE_NAMES[s.rule]}</span>
                </th>
                <td className="num text-right">{s.passes}</td>
                <td className="num text-right">{fine(s.end.chipMm.leading)}</td>
                <td className="num text-right">{fine(s.end.chipMm.trailing)}</td>
                <td className="num text-right">
                  {s.end.atLeast ? '\u2265 ' : ''}
                  {forceText(s.end.mainN)}
                </td>
                <td className="num text-right">{forceText(s.end.radialN)}</td>
                <td className="num text-right">{forceText(s.end.axialN)}</td>
                <td className="text-right">
                  {s.chosen ? (
                    'chosen'
                  ) : (
                    <Button
                      className="min-h-12"
                      aria-label={`Take: ${INFEED_NAMES[s.infeed]}, ${RULE_NAMES[s.rule]}`}
                      onClick={() => {
                        if (s.infeed !== job.setup.infeed) act({ do: 'setUp', infeed: s.infeed });
                        if (s.rule !== job.cut.rule) act({ do: 'setSchedule', rule: s.rule });
                      }}
                    >
                      Take
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-ink2">
        What is taken is kept for {job.intake.material}: the next job of it begins so.
      </p>
    </section>
  );
}

function Stages() {
  const { job } = useJobView();
  const system = useSystem();
  const { stages, straightLastMm } = job.cut;
  const now = stages ?? USUAL_STAGES;
  const set = (more: Partial<typeof now>) => act({ do: 'setSchedule', stages: { ...now, ...more } });
  const springs = (label: string, key: 'roughSprings' | 'semiSprings') => (
    <TypedField
      label={label}
      shown={String(now[key])}
      parse={wholeNumber('springs', 0, 10)}
      onCommit={(v) => set({ [key]: v })}
    />
  );
  const cap = (label: string, key: 'roughCapMm' | 'semiCapMm' | 'finishCapMm') => (
    <LengthField
      label={label}
      mm={now[key]}
      system={system}
      rule={{ maxMm: 5 }}
      placeholder="as the schedule"
      onClear={() => set({ [key]: null })}
      onCommit={(mm) => set({ [key]: mm })}
    />
  );
  return (
    <section aria-label="Stages" className="grid gap-3 border-t border-line pt-3">
      <Choice
        label="Stages"
        value={stages ? 'three' : 'one'}
        options={[
          { value: 'one', label: 'one rule throughout' },
          { value: 'three', label: 'rough, semi-finish, finish' },
        ]}
        onChange={(v) => act({ do: 'setSchedule', stages: v === 'three' ? USUAL_STAGES : null })}
      />
      {stages && (
        <>
          <p className="text-sm text-ink2">{stagesText(system)}</p>
          <div className="grid grid-cols-2 gap-3 md:grid-cols-3">
            {cap('Rough: no pass over', 'roughCapMm')}
            {cap('Semi-finish: no pass over', 'semiCapMm')}
            {cap('Finish: no pass over', 'finishCapMm')}
            {springs('Springs after roughing', 'roughSprings')}
            {springs('Springs after semi-finishing', 'semiSprings')}
          </div>
        </>
      )}
      {feedsAtAngle(job.setup.infeed) && (
        <LengthField
          label="The last, fed straight in"
          mm={straightLastMm}
          system={system}
          rule={{ allowZero: true, maxMm: 1 }}
          onCommit={(mm) => act({ do: 'setSchedule', straightLastMm: mm })}
          hint="a few hundredths clean both flanks and form the root; 0 for none"
        />
      )}
    </section>
  );
}
