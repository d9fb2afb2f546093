import { ProblemText } from '../../ui/ProblemText.tsx';
import { fitOfJob, threadOfJob, wirePlan } from '../../../core/job/derive.ts';
import { standingOfPart } from '../../../core/job/metal.ts';
import { eventText } from '../../../words/ledger.ts';
import { TryMate } from '../cut/TryThread.tsx';
import { leftText } from '../../../words/conclusions.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useWorking } from '../../ui/Working.tsx';

export function Prove() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const thread = threadOfJob(job);
  const plan = fitOfJob(job);
  const wires = wirePlan(job, shop);
  const show = useWorking('over-wires', 'Measurement over wires', wires?.working ?? []);
  if (!thread || !plan)
    return (
      <StationFrame station="prove" lead="Is it the size it should be?" canSettle={false}>
        {null}
      </StationFrame>
    );
  const other = system === 'mm' ? 'in' : 'mm';
  if (!wires) {
    return (
      <StationFrame station="prove" lead="Try the mate, or a plug.">
        <Note tone="say">
          {plan.make === 'internal'
            ? 'Wires do not go into a nut. Try the screw, or a plug turned to the pitch diameter below; a gauge of one size proves one size only.'
            : 'A square thread has no flanks for wires to rest on. Try the nut.'}
        </Note>
        <div className="grid gap-3 md:grid-cols-2">
          <Figure
            label="Pitch diameter to reach"
            value={lengthText(plan.pitchDiameterMm, system, FINE)}
            other={lengthText(plan.pitchDiameterMm, other, FINE)}
            working={{ title: 'Pitch diameter', steps: [plan.working.pitchDiameter] }}
          />
          <Figure
            label="Root of the nut"
            value={lengthText(plan.rootDiameterMm, system)}
            other={lengthText(plan.rootDiameterMm, other)}
            working={{ title: 'Root of the nut', steps: [plan.working.root] }}
          />
        </div>
        <Tried />
      </StationFrame>
    );
  }
  const { wireMm } = wires;
  const range = wires.usableMm;
  return (
    <StationFrame station="prove" lead="Measure over three wires in several places; go a little, try, go a little.">
      {!wires.check.ok && (
        <Note tone="wrong">
          <ProblemText problem={wires.check.problem} />
        </Note>
      )}
      <section aria-label="Over wires" className="rounded-lg border-2 border-blue bg-panel p-4">
        <p className="text-lg text-ink2">Over three wires of {lengthText(wireMm, system, FINE)} it should measure</p>
        <button
          type="button"
          className="num block text-left text-[clamp(3rem,9vw,6rem)] font-bold leading-none tracking-tighter"
          onClick={show}
          aria-label={`M ${lengthText(wires.targetMm, system, FINE)}; show the working`}
        >
          {lengthText(wires.targetMm, system, { ...FINE, bare: true })}
        </button>
        {wires.limitsMm && (
          <p className="num text-xl">
            {lengthText(wires.limitsMm.min, system, { ...FINE, bare: true })}&ndash;
            {lengthText(wires.limitsMm.max, system, FINE)}{' '}
            <span className="font-sans text-ink2">is inside class {plan.limits?.class}</span>
          </p>
        )}
        <p className="num text-xl text-ink2">
          {system} &middot; {lengthText(wires.targetMm, other, FINE)}
        </p>
      </section>
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="Wires">
          <LengthField
            label="Wire or pin used (empty: nearest owned)"
            mm={job.prove.wire?.mm ?? null}
            system={system}
            rule={{ maxMm: 60 }}
            onClear={() => act({ do: 'setWire', wire: null })}
            onCommit={(mm, text) => act({ do: 'setWire', wire: { text, mm } })}
            hint={`best ${lengthText(wires.bestMm, system, FINE)}; usable ${lengthText(range.min, system, FINE)} to ${lengthText(range.max, system, FINE)}`}
          />
          {shop.wiresMm.length > 0 && (
            <p className="mt-2 text-sm text-ink2">
              Owned and usable:{' '}
              <span className="num">
                {shop.wiresMm
                  .filter((w) => w >= range.min && w <= range.max)
                  .map((w) => lengthText(w, system, { ...FINE, bare: true }))
                  .join(', ') || 'none'}
              </span>
            </p>
          )}
        </Panel>
        <Panel title="Measured">
          <LengthField
            armed
            label="Over wires, then Enter"
            mm={null}
            system={system}
            onCommit={(mm, text) => act({ do: 'overWires', mm, text })}
          />
          <ul className="mt-2 grid gap-1">
            {wires.measured.map((m) => (
              <li key={m.n} className="flex items-center justify-between gap-3 border-t border-line">
                <span className="num">{m.text}</span>
                <span>{leftText(m, system)}</span>
                <Button tone="quiet" aria-label={`Take back ${m.text}`} onClick={() => act({ do: 'void', of: m.n })}>
                  Take back
                </Button>
              </li>
            ))}
          </ul>
        </Panel>
      </div>
      <Tried />
    </StationFrame>
  );
}

/** The mate tried, here as at the machine. */
function Tried() {
  const { job } = useJobView();
  const system = useSystem();
  const tried = standingOfPart(job).filter((e) => e.kind === 'tried' && e.result !== 'note');
  return (
    <Panel title="The mate, or a gauge">
      <TryMate />
      <ul className="mt-2 grid gap-1">
        {tried.map((e) => (
          <li key={e.n} className="border-t border-line">
            {eventText(e, system)}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
