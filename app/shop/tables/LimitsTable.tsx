import { limitsNoteText } from '../../../words/limits.ts';
import { ProblemText } from '../../ui/ProblemText.tsx';
import { useMemo, useState } from 'react';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import type { StandardThread } from '../../../core/standards/catalogue.ts';
import { classesOf, limitsOf, type Limits, type MemberLimits } from '../../../core/standards/limits.ts';
import { threadOfRow } from '../../../core/standards/thread.ts';
import { Choice } from '../../ui/choices.tsx';
import { Copied } from '../../ui/Copy.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** Limits of size of a thread in a class, screw and nut. */
export function LimitsTable({ row, system }: { readonly row: StandardThread; readonly system: UnitSystem }) {
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
          <Copied>
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
          </Copied>
          <p className="text-sm text-ink2">
            {limits.value.source}. {limits.value.notes.map((n) => limitsNoteText(n, system)).join(' ')} A dash: the
            standard leaves it open.
          </p>
        </>
      ) : (
        <p className="text-stop">
          <ProblemText problem={limits.problem} />
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
