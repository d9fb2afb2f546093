import { memo, useMemo, useState } from 'react';
import { BORE_SHARES, rowFacts } from '../../../core/tables/row.ts';
import { degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import { tpiOf } from '../../../core/quantity/pitch.ts';
import { exact, numberOf } from '../../../core/quantity/rational.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import type { Step } from '../../../core/quantity/working.ts';
import { familyOf, type StandardThread } from '../../../core/standards/catalogue.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { Button, Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Steps } from '../../ui/Working.tsx';
import { LimitsTable } from './LimitsTable.tsx';

interface DetailProps {
  readonly row: StandardThread;
  readonly system: UnitSystem;
  readonly comparing: boolean;
  readonly canCompare: boolean;
  readonly onCompare: () => void;
}

/** One row of the tables: drawing, sizes with their working, limits. */
export const Detail = memo(function Detail({ row, system, comparing, canCompare, onCompare }: DetailProps) {
  const shown = useMemo(() => rowFacts(row), [row]);
  const { thread, form, sizes, pitchMm: p, steps, wires } = shown;
  const [side, setSide] = useState<'external' | 'internal'>('external');
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const both = (mm: number): string => `${len(mm)} \u00b7 ${lengthText(mm, system === 'mm' ? 'in' : 'mm', FINE)}`;
  const facts: readonly Fact[] = [
    { name: 'Nominal diameter', value: both(row.majorMm) },
    {
      name: 'Pitch',
      value: `${len(p)} \u00b7 ${Number(numberOf(tpiOf(exact(row.pitch))).toFixed(4))} threads per inch (${row.pitch} mm exactly)`,
    },
    {
      name: 'Flanks',
      value:
        form.leadingDeg === form.trailingDeg
          ? `${degreesText(2 * form.leadingDeg)} included`
          : `${form.leadingDeg}\u00b0 leading, ${form.trailingDeg}\u00b0 trailing`,
    },
    { name: 'Pitch diameter', value: both(sizes.pitchDiameterMm), step: steps.pitchDiameter },
    { name: 'Root of the screw', value: both(sizes.minorExternalMm), step: steps.minorExternal },
    { name: 'Minor diameter of the nut', value: both(sizes.minorInternalMm), step: steps.minorInternal },
    { name: 'Depth of the screw\u2019s thread', value: both(shown.depthMm), step: steps.depth },
    { name: 'Widest tip flat', value: both(shown.rootFlatMm), step: steps.rootFlat },
    {
      name: 'Lead angle at the root',
      value: degreesText(shown.leadAngleDeg),
      step: steps.leadAngle,
    },
    ...(form.taper > 0 ? [{ name: 'Taper', value: '1 in 16 on diameter' }] : []),
    {
      name: `Bore for ${BORE_SHARES.map((s) => Math.round(s * 100)).join(' / ')} % of thread`,
      value: shown.boresMm.map((mm) => lengthText(mm, system, { bare: true })).join(' / '),
    },
    ...(wires
      ? [
          {
            name: 'Wires',
            value: `best ${len(wires.bestMm)}; usable ${len(wires.usableMm.min)} to ${len(wires.usableMm.max)}`,
          },
          {
            name: 'Over best wires, basic pitch diameter',
            value: both(wires.overBestMm),
            ...(wires.step ? { step: wires.step } : {}),
          },
        ]
      : []),
    { name: 'Source', value: `${familyOf(row.family).source}; form ${form.source}` },
  ];
  return (
    <Panel
      title={`${row.designation}, ${familyOf(row.family).name}`}
      aside={
        <Button onClick={onCompare} disabled={!comparing && !canCompare}>
          {comparing ? 'Take out of the comparison' : 'Lay over others'}
        </Button>
      }
    >
      <Choice
        label="Drawn"
        value={side}
        options={[
          { value: 'external', label: 'Screw' },
          { value: 'internal', label: 'Nut' },
        ]}
        onChange={setSide}
      />
      <div className="my-3">
        <ThreadDrawing thread={thread} tentative={false} side={side} readings={[]} system={system} />
      </div>
      <dl className="grid gap-x-4 sm:grid-cols-[15rem_minmax(0,1fr)]">
        {facts.map((f) => (
          <FactRow key={f.name} fact={f} system={system} />
        ))}
      </dl>
      <LimitsTable row={row} system={system} />
    </Panel>
  );
});

interface Fact {
  readonly name: string;
  readonly value: string;
  /** How the value came about; without it the value is a printed one. */
  readonly step?: Step;
}

function FactRow({ fact, system }: { readonly fact: Fact; readonly system: UnitSystem }) {
  const [open, setOpen] = useState(false);
  const { name, value, step } = fact;
  return (
    <div className="contents">
      <dt className={`border-t border-line text-ink2 ${step ? 'pt-2.5' : 'py-1'}`}>{name}</dt>
      <dd className="py-1 tabular-nums sm:border-t sm:border-line">
        {step ? (
          <button
            type="button"
            aria-expanded={open}
            title="Show how this came about"
            onClick={() => setOpen(!open)}
            className="-my-1 min-h-12 w-full rounded-md text-left underline decoration-line underline-offset-4 hover:bg-inset"
          >
            {value}
          </button>
        ) : (
          value
        )}
        {step && open && (
          <div className="mb-2 rounded-md bg-inset p-3">
            <Steps steps={[step]} system={system} />
          </div>
        )}
      </dd>
    </div>
  );
}
