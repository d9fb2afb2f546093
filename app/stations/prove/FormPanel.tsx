import { Camera } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { formCheck, type FormRow } from '../../../core/job/formCheck.ts';
import { parseAngle } from '../../../core/quantity/angle.ts';
import { parseLength } from '../../../core/quantity/length.ts';
import { degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { FORM_NAMES, formText, taperText } from '../../../words/prove.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { Mark } from './Mark.tsx';

/** The finished thread by its form: each thing read against what it may be, and what the errors do to the fit. */
export function FormPanel() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const check = formCheck(job, shop);
  if (!check) return null;
  return (
    <div className="grid gap-2">
      <p role="status" className="text-xl font-semibold">
        {formText(check, system)}
      </p>
      {job.intake.make === 'external' && (
        <Link
          className="key inline-flex min-h-12 items-center gap-2 justify-self-start rounded-[4px] px-4"
          to={`/jobs/${job.id}/read?picture=new&for=made`}
        >
          <Camera aria-hidden size={18} /> Read it from a picture
        </Link>
      )}
      <ul className="grid gap-x-4">
        {check.rows.map((r) => (
          <Row key={r.what} row={r} system={system} />
        ))}
      </ul>
      {check.taper && (
        <p className="flex items-center gap-2">
          <Mark ok={check.taper.ok} /> {taperText(check.taper, system)}
        </p>
      )}
      <Around count={check.aroundCount} drunkMm={check.drunkMm} />
    </div>
  );
}

function Row({ row, system }: { readonly row: FormRow; readonly system: UnitSystem }) {
  const { what, right, read, spanMm } = row;
  const label = spanMm === null ? FORM_NAMES[what] : `${FORM_NAMES[what]} over ${lengthText(spanMm, system, FINE)}`;
  const shown = (x: number): string =>
    row.unit === 'deg' ? degreesText(x, 0.1) : lengthText(x, system, { ...FINE, bare: true });
  const hint = right
    ? `${shown(right.least)} to ${shown(right.most)}`
    : spanMm === null
      ? undefined
      : 'as many pitches as that';
  const clear = read ? { onClear: () => act({ do: 'void', of: read.n }) } : {};
  const commit = (value: number, text: string): unknown => act({ do: 'readForm', what, value, text, spanMm });
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_minmax(0,11rem)_1.75rem] items-center gap-2 border-t border-line py-1">
      <span aria-hidden className="leading-tight">
        {label}
        {hint !== undefined && <span className="num block text-sm text-ink2">{hint}</span>}
      </span>
      {row.unit === 'deg' ? (
        <TypedField
          hideLabel
          label={label}
          shown={read ? degreesText(read.value, 0.01) : ''}
          parse={(t) => parseAngle(t, label, 80)}
          onCommit={(angle, text) => commit(angle.deg, text)}
          {...clear}
        />
      ) : (
        <TypedField
          hideLabel
          label={label}
          shown={read ? lengthText(read.value, system, FINE) : ''}
          parse={(t) => parseLength(t, { system, field: label, maxMm: 5000 })}
          onCommit={(length, text) => commit(length.mm, text)}
          {...clear}
        />
      )}
      <Mark ok={row.ok} />
    </li>
  );
}

const PLACES = [0, 90, 180, 270] as const;
/** Drunkenness: how far a crest stands from where it should along the axis, at places about the part. */
function Around({ count, drunkMm }: { readonly count: number; readonly drunkMm: number | null }) {
  const system = useSystem();
  const [deg, setDeg] = useState<number>(0);
  return (
    <section aria-label="About the part" className="grid gap-1 border-t border-line pt-1">
      <LengthField
        label={`Crest against the indicator at ${deg}\u00b0 about the part, + or \u2212`}
        mm={null}
        system={system}
        rule={{ maxMm: 10, allowNegative: true, allowZero: true }}
        onCommit={(value, text) => {
          const refused = act({ do: 'readForm', what: 'round', value, text, roundDeg: deg });
          if (refused === null) setDeg(PLACES[(PLACES.indexOf(deg as 0) + 1) % PLACES.length] ?? 0);
          return refused;
        }}
        hint={
          drunkMm === null
            ? `drunkenness wants three places or more; ${count} read`
            : `drunken by \u00b1 ${lengthText(drunkMm, system, FINE)}, from ${count} places`
        }
      />
    </section>
  );
}
