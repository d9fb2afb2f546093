import { useId, useState } from 'react';
import { parseLength } from '../../../../core/quantity/length.ts';
import { readNumber } from '../../../../core/quantity/number.ts';
import { bad, good, type Outcome } from '../../../../core/quantity/outcome.ts';
import { numberOf } from '../../../../core/quantity/rational.ts';
import { FINE, lengthText } from '../../../../core/quantity/format.ts';
import { MM_PER_INCH } from '../../../../core/quantity/units.ts';
import type { ShadowTaken } from '../../../../core/job/schema.ts';
import { leastWorn } from '../../../../core/job/special.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { useSystem } from '../../../store/store.ts';
import { TypedField } from '../../../ui/TypedField.tsx';

type By = NonNullable<ShadowTaken['scale']>['by'] | 'none';

const dots = (text: string): Outcome<number> => {
  const n = readNumber(text, 'dots');
  if (!n.ok) return n;
  const value = numberOf(n.value.value);
  return value >= 20 && value <= 20000 ? good(value) : bad('dots', 'dots-out-of-range');
};

/** What gives the picture its scale: the outside just measured, a pin beside it, a scanner's dots, or nothing. */
export function ScaleFields({
  scale,
  onChange,
  without,
}: {
  readonly scale: ShadowTaken['scale'];
  readonly onChange: (scale: ShadowTaken['scale']) => void;
  /** A way that says nothing of what lies there. */
  readonly without?: By;
}) {
  const { job } = useJobView();
  const system = useSystem();
  const name = useId();
  const major = leastWorn(job, 'majorDiameter');
  const [by, setBy] = useState<By>(scale?.by ?? 'none');
  // the other ways keep what was typed of them
  const [values, setValues] = useState<Partial<Record<By, number>>>({
    ...(major ? { major: major.value } : {}),
    ...(scale ? { [scale.by]: scale.value } : {}),
  });
  const choose = (next: By): void => {
    setBy(next);
    const value = values[next];
    onChange(next === 'none' || value === undefined ? null : { by: next, value });
  };
  const type = (of: Exclude<By, 'none'>, value: number): void => {
    setValues((v) => ({ ...v, [of]: value }));
    setBy(of);
    onChange({ by: of, value });
  };
  const length = (t: string): Outcome<{ mm: number }> => parseLength(t, { system, field: 'scale' });
  const mm = (of: By): string => (values[of] === undefined ? '' : lengthText(values[of], system, FINE));
  const rows: readonly {
    readonly by: By;
    readonly title: string;
    readonly note: string;
    readonly field: React.ReactNode;
  }[] = [
    {
      by: 'major',
      title: 'Its outside diameter',
      note: major ? 'as you read it' : 'measure it first',
      field: (
        <TypedField
          label="Outside diameter of the part"
          hideLabel
          shown={mm('major')}
          parse={length}
          onCommit={(v) => type('major', v.mm)}
        />
      ),
    },
    {
      by: 'pin',
      title: 'A pin laid beside it',
      note: 'found by itself if it is clean',
      field: (
        <TypedField
          label="Diameter of the pin"
          hideLabel
          shown={mm('pin')}
          parse={length}
          onCommit={(v) => type('pin', v.mm)}
        />
      ),
    },
    {
      by: 'resolution',
      title: 'Scanner\u2019s dots',
      note: 'dots to the inch; not for a camera',
      field: (
        <TypedField
          label="Dots to the inch"
          hideLabel
          shown={values.resolution === undefined ? '' : String(Math.round(values.resolution * MM_PER_INCH))}
          parse={dots}
          onCommit={(v) => type('resolution', v / MM_PER_INCH)}
        />
      ),
    },
    { by: 'none', title: 'Nothing', note: 'angles, and pitch over diameter, still hold', field: null },
  ];
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 text-sm text-ink2">What gives the scale</legend>
      {rows
        .filter((r) => r.by !== without)
        .map((r) => (
          <div
            key={r.by}
            className="grid grid-cols-[minmax(0,1fr)_8.25rem] items-center gap-2 border-t border-line py-1"
          >
            <label className="flex min-h-12 items-center gap-2.5 leading-tight">
              <input
                type="radio"
                name={name}
                checked={by === r.by}
                onChange={() => choose(r.by)}
                className="size-6 shrink-0 accent-(--ink)"
              />
              <span>
                <strong className="block font-semibold">{r.title}</strong>
                <span className="block text-sm text-ink2">{r.note}</span>
              </span>
            </label>
            {r.field}
          </div>
        ))}
    </fieldset>
  );
}
