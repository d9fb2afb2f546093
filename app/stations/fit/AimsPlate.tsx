import { useId, useRef, type CSSProperties } from 'react';
import { Sigma } from 'lucide-react';
import type { FitPlan } from '../../../core/fit/fit.ts';
import { zonesOf, type Zone } from '../../../core/job/zones.ts';
import { recutting } from '../../../core/job/recut.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { parseLength } from '../../../core/quantity/length.ts';
import type { Step } from '../../../core/quantity/working.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { aimName } from '../../../words/fit.ts';
import { ZonesPlate, zoneRowY } from '../../drawing/ZonesPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { TypedField } from '../../ui/TypedField.tsx';
import { useSize } from '../../ui/useSize.ts';
import { useWorking } from '../../ui/Working.tsx';

const FIELD_W = 268;
const WIDE = 640;

/** Where each diameter may lie, its aim dragged there or typed beside it. */
export function AimsPlate({ plan, thread }: { readonly plan: FitPlan; readonly thread: ThreadSpec }) {
  const { job } = useJobView();
  const system = useSystem();
  const box = useRef<HTMLDivElement>(null);
  const { w, h } = useSize(box, { w: 860, h: 440 });
  const wide = w >= WIDE;
  const zones = zonesOf(job, thread, plan);
  const start = plan.make === 'external' ? 'major' : 'minor';
  // a recut begins at the old groove: nothing is turned or bored first
  const aimed: Zone['diameter'][] = recutting(job) ? ['pitch'] : [start, 'pitch'];
  const aim = (d: Zone['diameter'], mm: number | null) =>
    act({ do: 'setFit', aim: d === 'pitch' ? { pitchMm: mm } : { startMm: mm } });
  const steps = (d: Zone['diameter']): Step =>
    d === 'pitch' ? plan.working.pitchDiameter : d === start ? plan.working.start : plan.working.root;
  return (
    <div className="plate on-plate relative grid overflow-hidden desk:min-h-[27.5rem]">
      <div ref={box} className="relative min-h-[27.5rem]">
        <ZonesPlate
          zones={zones}
          make={plan.make}
          system={system}
          aimed={aimed}
          onAim={aim}
          right={wide ? FIELD_W : 0}
        />
      </div>
      <div className={wide ? 'contents' : 'relative grid gap-2 p-3'}>
        {zones.map((z, i) => (
          <Aim
            key={z.diameter}
            label={aimName(z.diameter, plan.make, recutting(job))}
            mm={z.aimMm}
            step={steps(z.diameter)}
            byHand={
              (z.diameter === 'pitch' ? job.fit.aim.pitchMm : z.diameter === start ? job.fit.aim.startMm : null) !==
              null
            }
            {...(aimed.includes(z.diameter) ? { onAim: (mm: number | null) => aim(z.diameter, mm) } : {})}
            {...(wide ? { style: { right: 16, width: FIELD_W, top: zoneRowY(h, zones.length, i) - 26 } } : {})}
          />
        ))}
      </div>
    </div>
  );
}

interface AimProps {
  readonly label: string;
  readonly mm: number;
  readonly step: Step;
  readonly byHand: boolean;
  /** Null: back to what follows from class and clearance. Missing: it follows from the others. */
  readonly onAim?: (mm: number | null) => unknown;
  readonly style?: CSSProperties;
}

function Aim({ label, mm, step, byHand, onAim, style }: AimProps) {
  const system = useSystem();
  const show = useWorking(useId(), label, [step]);
  const shown = lengthText(mm, system, FINE);
  const other = lengthText(mm, system === 'mm' ? 'in' : 'mm', FINE);
  return (
    <div style={style} className={`grid grid-cols-[minmax(0,1fr)_5.25rem] gap-1 ${style ? 'absolute' : ''}`}>
      {onAim ? (
        <TypedField
          label={byHand ? `${label}, by hand` : label}
          patch
          shown={shown}
          parse={(t) => parseLength(t, { system, field: label, maxMm: 3000 })}
          onCommit={(v) => onAim(v.mm)}
          onClear={() => onAim(null)}
        />
      ) : (
        <div className="min-h-12 rounded-[3px] border border-scribe2 px-2 pt-0.5 leading-tight">
          <span className="block truncate text-[13px]">{label}</span>
          <span className="num block text-[17px] font-semibold">{shown}</span>
        </div>
      )}
      <button
        type="button"
        onClick={show}
        aria-label={`${label} ${shown}, ${other}: how it came about`}
        title="Show how this came about"
        className="grid min-h-12 place-items-center rounded-[3px] border border-scribe2 bg-deep text-scribe"
      >
        <Sigma aria-hidden size={16} />
        <span className="num text-[13px]">{other}</span>
      </button>
    </div>
  );
}
