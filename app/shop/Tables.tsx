import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { boreForShareMm } from '../../core/fit/fit.ts';
import { externalDepthMm, leadAngleDeg, rootFlatMm } from '../../core/form/sizes.ts';
import { formAt } from '../../core/form/shape.ts';
import { bestWireMm, grooveOf, overWiresMm, usableWireMm } from '../../core/gauging/wires.ts';
import { degreesText, FINE, lengthText } from '../../core/quantity/format.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import { exact } from '../../core/quantity/rational.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { CATALOGUE, FAMILIES, familyOf, type StandardThread } from '../../core/standards/catalogue.ts';
import { classesOf, limitsOf, type Limits, type MemberLimits } from '../../core/standards/limits/index.ts';
import { readQuery, searchTables } from '../../core/standards/search.ts';
import { pitchMmOf, threadFormOf, threadOfRow, threadSizes } from '../../core/standards/thread.ts';
import { FormOverlay, STROKES } from '../drawing/FormOverlay.tsx';
import { ThreadDrawing } from '../drawing/ThreadDrawing.tsx';
import { useSystem } from '../store/store.ts';
import { Button, Choice, Panel } from '../ui/controls.tsx';
import { inputClass, LengthField } from '../ui/fields.tsx';
import { Page } from './Page.tsx';

const ROW_PX = 48;
const MOST_COMPARED = 3;

export function Tables() {
  const system = useSystem();
  const [text, setText] = useState('');
  const sought = useDeferredValue(text);
  const rows = useMemo(() => searchTables(readQuery(sought, system)), [sought, system]);
  const [chosen, setChosen] = useState<StandardThread | null>(null);
  const [compared, setCompared] = useState<readonly StandardThread[]>([]);
  const at = chosen ? rows.indexOf(chosen) : -1;
  const shown = at >= 0 ? chosen : (rows[0] ?? null);
  const list = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  const index = Math.max(0, at);
  useEffect(() => {
    virtual.scrollToIndex(index);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [index, sought]);
  const move = (by: number): void => {
    const next = rows[Math.min(rows.length - 1, Math.max(0, index + by))];
    if (next) setChosen(next);
  };
  return (
    <Page
      title="Tables"
      lead={`${CATALOGUE.length} threads of ${FAMILIES.length} families, each with its source. Type a diameter, a pitch, a family, or all three.`}
    >
      <div className="grid items-start gap-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
        <div className="grid gap-2">
          <input
            type="search"
            role="combobox"
            aria-label="Find a thread"
            aria-expanded="true"
            aria-controls="thread-list"
            aria-activedescendant={shown ? optionId(shown) : undefined}
            placeholder="7 tpi, 31.7, 1/2, G, m10 x 1"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setChosen(null);
            }}
            onKeyDown={(e) => {
              const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[e.key];
              if (by === undefined) return;
              e.preventDefault();
              move(by);
            }}
            className={inputClass}
            autoComplete="off"
            spellCheck={false}
          />
          <p role="status" className="text-sm text-ink2">
            {rows.length === 0
              ? 'Nothing of that name.'
              : sought.trim() === ''
                ? 'All, in the order of the books.'
                : `${rows.length} rows, nearest first.`}
          </p>
          <div
            ref={list}
            id="thread-list"
            role="listbox"
            aria-label="Threads"
            tabIndex={0}
            className="h-[30vh] overflow-y-auto rounded-lg border border-line bg-panel lg:h-[34rem]"
          >
            <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
              {virtual.getVirtualItems().map((item) => {
                const row = rows[item.index];
                if (!row) return null;
                const isIt = row === shown;
                return (
                  <div
                    key={item.key}
                    id={optionId(row)}
                    role="option"
                    aria-selected={isIt}
                    aria-setsize={rows.length}
                    aria-posinset={item.index + 1}
                    onClick={() => setChosen(row)}
                    className={`absolute inset-x-0 flex cursor-pointer items-center justify-between gap-3 border-b border-line px-3 ${isIt ? 'bg-bluesoft font-semibold' : 'hover:bg-inset'}`}
                    style={{ height: ROW_PX, transform: `translateY(${item.start}px)` }}
                  >
                    <span className="num">{row.designation}</span>
                    <span className="num text-sm text-ink2">
                      {lengthText(row.majorMm, system, FINE)} &middot; {pitchText(exact(row.pitch), system)}
                    </span>
                  </div>
                );
              })}
            </div>
          </div>
        </div>
        <div className="grid min-w-0 gap-4">
          {compared.length > 0 && <Compare rows={compared} system={system} onClear={() => setCompared([])} />}
          {shown && (
            <Detail
              key={shown.designation}
              row={shown}
              system={system}
              comparing={compared.includes(shown)}
              canCompare={compared.length < MOST_COMPARED}
              onCompare={() => setCompared((c) => (c.includes(shown) ? c.filter((r) => r !== shown) : [...c, shown]))}
            />
          )}
        </div>
      </div>
    </Page>
  );
}

const optionId = (r: StandardThread): string => `t-${r.designation.replace(/[^a-z0-9]+/gi, '_')}`;

interface DetailProps {
  readonly row: StandardThread;
  readonly system: UnitSystem;
  readonly comparing: boolean;
  readonly canCompare: boolean;
  readonly onCompare: () => void;
}

function Detail({ row, system, comparing, canCompare, onCompare }: DetailProps) {
  const thread = useMemo(() => threadOfRow(row), [row]);
  const [side, setSide] = useState<'external' | 'internal'>('external');
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const p = pitchMmOf(thread);
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const both = (mm: number): string => `${len(mm)} \u00b7 ${lengthText(mm, system === 'mm' ? 'in' : 'mm', FINE)}`;
  const square = form.leadingFlankDeg + form.trailingFlankDeg === 0;
  const groove = square ? null : grooveOf(form, p, 1);
  const facts: readonly (readonly [string, string])[] = [
    ['Nominal diameter', both(row.majorMm)],
    [
      'Pitch',
      `${pitchText(exact(row.pitch), 'mm')} \u00b7 ${pitchText(exact(row.pitch), 'in')} (${row.pitch} mm exactly)`,
    ],
    [
      'Flanks',
      form.leadingFlankDeg === form.trailingFlankDeg
        ? `${degreesText(2 * form.leadingFlankDeg)} included`
        : `${form.leadingFlankDeg}\u00b0 leading, ${form.trailingFlankDeg}\u00b0 trailing`,
    ],
    ['Pitch diameter', both(sizes.pitchDiameterMm)],
    ['Root of the screw', both(sizes.minorExternalMm)],
    ['Minor diameter of the nut', both(sizes.minorInternalMm)],
    ['Depth of the screw\u2019s thread', both(externalDepthMm(form))],
    ['Widest tip flat', both(rootFlatMm(form, p))],
    ['Lead angle at the root', degreesText(leadAngleDeg(p, sizes.minorExternalMm))],
    ...(form.taper > 0 ? ([['Taper', '1 in 16 on diameter']] as const) : []),
    [
      'Bore for 100 / 85 / 75 / 65 % of thread',
      [1, 0.85, 0.75, 0.65].map((s) => lengthText(boreForShareMm(thread, s), system, { bare: true })).join(' / '),
    ],
    ...(groove
      ? ([
          [
            'Wires',
            `best ${len(bestWireMm(groove))}; usable ${len(usableWireMm(groove).min)} to ${len(usableWireMm(groove).max)}`,
          ],
          [
            'Over best wires, basic pitch diameter',
            both(overWiresMm(groove, sizes.pitchDiameterMm, bestWireMm(groove), 'textbook')),
          ],
        ] as const)
      : []),
    ['Source', `${familyOf(row.family).source}; form ${form.source}`],
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
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="border-t border-line py-1 text-ink2">{name}</dt>
            <dd className="py-1 tabular-nums sm:border-t sm:border-line">{value}</dd>
          </div>
        ))}
      </dl>
      <LimitsTable row={row} system={system} />
    </Panel>
  );
}

function LimitsTable({ row, system }: { readonly row: StandardThread; readonly system: UnitSystem }) {
  const thread = useMemo(() => threadOfRow(row), [row]);
  const classes = classesOf(thread);
  const all = [...new Set([...classes.external, ...classes.internal])];
  const [cls, setCls] = useState(all[0] ?? '');
  const [engagement, setEngagement] = useState<number | null>(null);
  if (all.length === 0)
    return <p className="mt-4 text-ink2">No limits are carried for this family: make it to its mate.</p>;
  const limits = limitsOf(thread, cls, engagement);
  return (
    <div className="mt-4 grid gap-3">
      <h3 className="text-lg">Limits</h3>
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_12rem]">
        <Choice label="Class" value={cls} options={all.map((c) => ({ value: c, label: c }))} onChange={setCls} />
        <LengthField
          label="Length of engagement"
          mm={engagement}
          system={system}
          placeholder="the usual"
          onCommit={setEngagement}
          onClear={() => setEngagement(null)}
          rule={{ maxMm: 5000 }}
        />
      </div>
      {limits.ok ? (
        <>
          <table className="num w-full text-right">
            <thead className="font-sans text-sm text-ink2">
              <tr>
                <th className="text-left font-normal">{system}, largest / smallest</th>
                <th className="font-normal">Major</th>
                <th className="font-normal">Pitch</th>
                <th className="font-normal">Minor</th>
              </tr>
            </thead>
            <tbody>
              {limits.value.external && <MemberRow name="Screw" member={limits.value.external} system={system} />}
              {limits.value.internal && <MemberRow name="Nut" member={limits.value.internal} system={system} />}
            </tbody>
          </table>
          <p className="text-sm text-ink2">
            {limits.value.source}. {limits.value.notes.join(' ')} A dash: the standard leaves it open.
          </p>
        </>
      ) : (
        <p className="text-stop">
          {limits.problem.message} {limits.problem.right}
        </p>
      )}
    </div>
  );
}

function MemberRow({
  name,
  member,
  system,
}: {
  readonly name: string;
  readonly member: MemberLimits;
  readonly system: UnitSystem;
}) {
  const one = (x: number | null): string => (x === null ? '\u2013' : lengthText(x, system, { ...FINE, bare: true }));
  const cell = (l: Limits) => (
    <td className="py-1">
      {one(l.max)}
      <br />
      {one(l.min)}
    </td>
  );
  return (
    <tr className="border-t border-line align-top">
      <th scope="row" className="py-1 text-left font-sans font-semibold">
        {name}
      </th>
      {cell(member.major)}
      {cell(member.pitch)}
      {cell(member.minor)}
    </tr>
  );
}

function Compare({
  rows,
  system,
  onClear,
}: {
  readonly rows: readonly StandardThread[];
  readonly system: UnitSystem;
  readonly onClear: () => void;
}) {
  // at one pitch, taken as 1: absolute clearances are drawn as they would be at the first thread's pitch
  const forms = rows.map((r) => ({
    name: r.designation,
    form: formAt(familyOf(r.family).form, 1),
    side: 'external' as const,
  }));
  return (
    <Panel title="Laid over each other at the same pitch" aside={<Button onClick={onClear}>Clear</Button>}>
      <FormOverlay forms={forms} label={`Forms of ${rows.map((r) => r.designation).join(', ')} laid over each other`} />
      <table className="mt-3 w-full text-left">
        <thead>
          <tr className="text-sm text-ink2">
            <th className="font-normal">Thread</th>
            <th className="font-normal">Flanks</th>
            <th className="font-normal">Depth, in pitches</th>
            <th className="font-normal">Pitch</th>
            <th className="font-normal">Diameter</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => {
            const f = formAt(familyOf(r.family).form, r.pitchMm);
            return (
              <tr key={r.designation} className="border-t border-line">
                <td className="num py-2">
                  {r.designation} <span className="font-sans text-sm text-ink2">({STROKES[i]?.word})</span>
                </td>
                <td className="num">
                  {f.leadingFlankDeg}&deg; + {f.trailingFlankDeg}&deg;
                </td>
                <td className="num">{(externalDepthMm(f) / r.pitchMm).toFixed(4)}</td>
                <td className="num">{pitchText(exact(r.pitch), system)}</td>
                <td className="num">{lengthText(r.majorMm, system, FINE)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Panel>
  );
}
