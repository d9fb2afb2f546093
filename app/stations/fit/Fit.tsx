import { ProblemText } from '../../ui/ProblemText.tsx';
import { useState } from 'react';
import type { FitPlan } from '../../../core/fit/fit.ts';
import { DUTIES, FITS_TO, fitViewOf } from '../../../core/job/fitView.ts';
import { fitOfJob, threadOfJob } from '../../../core/job/derive.ts';
import { degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import { threadSizes } from '../../../core/standards/thread.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { classesOf } from '../../../core/standards/limits.ts';
import { Engagement } from '../../drawing/Engagement.tsx';
import { classMemberOf } from '../../../core/job/made.ts';
import { copiedFrom, matePlaces } from '../../../core/job/places.ts';
import { recutting } from '../../../core/job/recut.ts';
import {
  readyText,
  boundText,
  COPY_AS_WORN,
  DUTY_NAMES,
  engagedText,
  FIT_TO_NAMES,
  GAUGE_LIKE,
  gaugeName,
} from '../../../words/fit.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Choice, Note, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { AimsPlate } from './AimsPlate.tsx';
import { AsRead } from './AsRead.tsx';
import { CleanUp } from './CleanUp.tsx';
import { WornMate } from './WornMate.tsx';

export function Fit() {
  const { job } = useJobView();
  const system = useSystem();
  const [drawn, setDrawn] = useState<'zones' | 'alone' | 'together'>('zones');
  const thread = threadOfJob(job);
  const plan = fitOfJob(job);
  if (!thread || !plan)
    return (
      <StationFrame station="fit" lead="What to turn or bore, and how deep to cut." canSettle={false}>
        {null}
      </StationFrame>
    );
  const external = plan.make === 'external';
  const recut = recutting(job);
  const sizes = threadSizes(thread);
  const classes = classesOf(thread)[classMemberOf(job.intake)];
  const gauging = job.intake.wanted === 'gauge';
  const places = matePlaces(job, thread);
  const copied = job.fit.to === 'copy' && job.fit.class === null ? copiedFrom(job, thread) : null;
  const { full, clearanceMm, measured, ready, relief, playMm } = fitViewOf(job, thread, plan);
  const other = system === 'mm' ? 'in' : 'mm';
  const flatMm = job.fit.tip && 'flatMm' in job.fit.tip ? job.fit.tip.flatMm : null;
  return (
    <StationFrame
      station="fit"
      lead={
        recut
          ? 'No blank is turned: the passes begin at the old groove, and go on until it is at size or its mate fits.'
          : external
            ? 'What to turn the blank to, and how deep to cut.'
            : 'What to bore to, and how deep to cut. The bore is the nut\u2019s own minor diameter.'
      }
      drawnFirst
      acts={
        <section aria-label="The fit" className="border-t border-line pt-3">
          <div className="grid gap-3">
            <Choice
              label="To be cut"
              value={job.intake.make}
              options={[
                { value: 'external', label: 'External (screw)' },
                { value: 'internal', label: 'Internal (nut)' },
              ]}
              onChange={(v) => act({ do: 'setIntake', make: v })}
            />
            <Choice
              label={gauging ? `Gauges a ${external ? 'nut' : 'screw'} of` : 'Made to'}
              value={job.fit.class ?? (gauging ? '' : job.fit.to)}
              options={[
                ...(gauging
                  ? [{ value: '', label: 'no class yet' }]
                  : FITS_TO.map((to) => ({ value: to, label: FIT_TO_NAMES[to] }))),
                ...classes.map((c) => ({ value: c, label: `class ${c}` })),
              ]}
              onChange={(v) => {
                const to = FITS_TO.find((x) => x === v);
                act({ do: 'setFit', class: v === '' || to ? null : v, ...(to ? { to } : {}) });
              }}
            />
            {plan.problem && (
              <Note tone="wrong">
                <ProblemText problem={plan.problem} />
              </Note>
            )}
            {gauging && <GaugeChoices plan={plan} />}
            {plan.limits && (
              <p className="text-sm text-ink2">
                {plan.limits.source}, class {plan.limits.class}; aimed at the middle until it is dragged or typed.
              </p>
            )}
            {plan.limits || gauging ? null : (
              <>
                {copied && !copied.unworn && <Note tone="caution">{COPY_AS_WORN}</Note>}
                {!copied && (
                  <>
                    <Choice
                      label="What it has to do (common practice)"
                      value={job.fit.duty ?? ''}
                      options={[
                        { value: '', label: 'not said' },
                        ...DUTIES.map((d) => ({ value: d.id, label: DUTY_NAMES[d.id] })),
                      ]}
                      onChange={(v) => act({ do: 'setFit', duty: v === '' ? null : v })}
                    />
                    <LengthField
                      label="Clearance on the pitch diameter"
                      mm={job.fit.pitchClearanceMm}
                      system={system}
                      rule={{ allowZero: true, maxMm: 5 }}
                      onCommit={(mm) => act({ do: 'setFit', pitchClearanceMm: mm })}
                      hint={`play ${lengthText(playMm, system, FINE)} along the axis`}
                    />
                  </>
                )}
                {copied?.startMm == null && !recut && (
                  <LengthField
                    label={external ? 'Blank under the nominal by (on diameter)' : 'Bore over the minor diameter by'}
                    mm={job.fit.crestReliefMm}
                    system={system}
                    rule={{ allowZero: true, maxMm: 10 }}
                    onCommit={(mm) => act({ do: 'setFit', crestReliefMm: mm })}
                  />
                )}
              </>
            )}
            <LengthField
              label="Engaged length"
              mm={job.fit.engagementMm}
              system={system}
              rule={{ maxMm: 5000 }}
              placeholder="the standard’s own"
              onClear={() => act({ do: 'setFit', engagementMm: null })}
              onCommit={(mm) => act({ do: 'setFit', engagementMm: mm })}
              hint="length of nut on screw: a pitch error adds up over it"
            />
          </div>
        </section>
      }
    >
      <Choice
        label="What is drawn"
        value={drawn}
        options={[
          { value: 'zones', label: 'Where each diameter may lie' },
          { value: 'alone', label: 'The thread as it is made' },
          { value: 'together', label: 'Screw and nut together' },
        ]}
        onChange={setDrawn}
      />
      {drawn === 'zones' ? (
        <AimsPlate plan={plan} thread={thread} />
      ) : drawn === 'together' ? (
        <Engagement thread={thread} clearanceMm={clearanceMm} system={system} />
      ) : (
        <ThreadDrawing
          thread={thread}
          tentative={false}
          side={plan.make}
          readings={[]}
          system={system}
          figures={{
            [external ? 'majorDiameter' : 'minorDiameter']: lengthText(plan.startDiameterMm, system),
            [external ? 'minorDiameter' : 'majorDiameter']: lengthText(plan.rootDiameterMm, system),
            depth: lengthText(plan.depthMm, system, FINE),
          }}
          caption={`${thread.designation} as it is to be made. Basic sizes: ${lengthText(sizes.majorMm, system, { ...FINE, bare: true })} outside, ${lengthText(sizes.pitchDiameterMm, system, { ...FINE, bare: true })} pitch diameter, ${lengthText(external ? sizes.minorExternalMm : sizes.minorInternalMm, system, FINE)} ${external ? 'root' : 'bore'}.`}
        />
      )}
      {(plan.bounds.length > 0 || engagedText(plan)) && (
        <Note tone="say">
          {plan.bounds.map((b) => (
            <p key={b.code}>{boundText(b, system)}</p>
          ))}
          <p>{engagedText(plan)}</p>
        </Note>
      )}
      {thread.family === 'Special' && <AsRead thread={thread} />}
      {places.length > 0 && <WornMate plan={plan} thread={thread} places={places} />}
      {recut && <CleanUp />}
      <Panel title="The tool and the blank">
        <div className="grid items-start gap-3 md:grid-cols-2">
          <LengthField
            label="Tip flat of the tool (empty: ground to the form)"
            mm={flatMm}
            system={system}
            rule={{ allowZero: true, maxMm: 50 }}
            onClear={() => act({ do: 'setFit', tip: null })}
            onCommit={(mm) => act({ do: 'setFit', tip: { flatMm: mm } })}
            hint={`widest that clears the root: ${lengthText(plan.widestTipMm, system, FINE)}`}
          />
          {job.fit.tip !== null &&
            (plan.tip.clearsRoot ? (
              <Note tone="say">
                With this tip the depth is {lengthText(plan.depthMm, system, FINE)}
                {plan.tip.beyondMm > 0.005
                  ? `, ${lengthText(plan.tip.beyondMm, system, FINE)} deeper than the form: a narrow tip must go further to bring the flanks to size.`
                  : '.'}
              </Note>
            ) : (
              <Note tone="wrong">
                This tip is too wide. The flanks are at size at {lengthText(plan.depthMm, system, FINE)}, but the root
                needs {lengthText(full.depthMm, system, FINE)}: the thread can never be finished with it. Grind the flat
                to {lengthText(plan.widestTipMm, system, FINE)} or less.
              </Note>
            ))}
          <LengthField
            label={recut ? 'Crest as measured' : external ? 'Blank as measured' : 'Bore as measured'}
            mm={measured?.diameterMm ?? null}
            system={system}
            {...(measured ? { onClear: () => act({ do: 'void', of: measured.n }) } : {})}
            onCommit={(mm, text) => act({ do: 'measureBlank', diameterMm: mm, text })}
            hint="every depth is counted from it"
          />
          <Figure
            label={recut ? 'Depth from the crest' : 'Depth to cut'}
            value={lengthText(plan.depthMm, system, FINE)}
            other={lengthText(plan.depthMm, other, FINE)}
            working={{ title: 'Depth to cut', steps: [plan.working.depth] }}
          />
          {ready && !recut && <Note tone={ready.ok ? 'right' : 'wrong'}>{readyText(ready, system)}</Note>}
          <Figure
            label="Side relief: add on the leading side"
            value={degreesText(relief[0].result)}
            other="lead angle at the minor diameter; take as much off the trailing side"
            working={{ title: 'Side relief', steps: relief }}
          />
        </div>
      </Panel>
    </StationFrame>
  );
}

/** Which end of the gauge, by which school, and when it is worn out. */
function GaugeChoices({ plan }: { readonly plan: FitPlan }) {
  const { job } = useJobView();
  const system = useSystem();
  const { gauge } = job.fit;
  return (
    <>
      <Choice
        label="Which end"
        value={gauge.end}
        options={[
          { value: 'go', label: gaugeName(plan.make, 'go') },
          { value: 'not-go', label: gaugeName(plan.make, 'not-go') },
        ]}
        onChange={(end) => act({ do: 'setFit', gauge: { ...gauge, end } })}
      />
      {gauge.end === 'not-go' && (
        <Choice
          label="Where the not-go lies"
          value={gauge.school}
          options={[
            { value: 'inside', label: 'inside the work\u2019s limit by a tenth (shops)' },
            { value: 'centred', label: 'on the limit itself (gauge standards)' },
          ]}
          onChange={(school) => act({ do: 'setFit', gauge: { ...gauge, school } })}
        />
      )}
      <Note tone="say">
        {GAUGE_LIKE[gauge.end]}
        {plan.gauge?.scrapAtMm != null && (
          <>
            {' '}
            It wears {plan.make === 'external' ? 'small' : 'large'}: scrap it at{' '}
            <strong className="num">{lengthText(plan.gauge.scrapAtMm, system, FINE)}</strong> pitch diameter.
          </>
        )}
      </Note>
    </>
  );
}
