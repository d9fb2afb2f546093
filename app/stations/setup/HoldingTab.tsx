import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { useMemo } from 'react';
import { holdingOf, type HoldingView } from '../../../core/job/holdingView.ts';
import { Note } from '../../ui/controls.tsx';
import { unsaidText, LIMIT_TEXT, fluidText, FORCE_IS_ROUGH, forceText, GRIP_TEXT } from '../../../words/holding.ts';
import { BarFields } from './BarFields.tsx';
import { HeldFields } from './HeldFields.tsx';
import { RunOut } from './RunOut.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { GripBar } from '../../drawing/GripPlate.tsx';
import { Bending } from './Bending.tsx';

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
