import clsx from 'clsx';
import { useId } from 'react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** All of one width in one row, their words broken: for a narrow place. */
  readonly even?: boolean;
}

/**
 * One of a few: a row of keys, moved along with the arrow keys. Native radio buttons: they answer an arrow at once, also
 * from a device that types faster than a hand (the primitive library waits for a focus event in between).
 */
export function Choice<T extends string>({ label, value, options, onChange, even = false }: ChoiceProps<T>) {
  const name = useId();
  return (
    <fieldset className="grid min-w-0 gap-1">
      <legend className="mb-1 text-sm text-ink2">{label}</legend>
      <div className={even ? 'grid auto-cols-fr grid-flow-col max-xs:grid-flow-row' : 'flex flex-wrap'}>
        {options.map((o) => (
          <label
            key={o.value}
            className={clsx(
              even && 'justify-center text-center leading-tight',
              'relative -ml-px -mt-px flex min-h-12 items-center border border-edge bg-panel px-3 text-ink first:rounded-l-[4px] last:rounded-r-[4px] hover:bg-inset has-checked:bg-ink has-checked:font-semibold has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue',
            )}
          >
            <input
              type="radio"
              name={name}
              value={o.value}
              aria-label={o.label}
              checked={o.value === value}
              onChange={() => onChange(o.value)}
              className="absolute -inset-px h-[calc(100%+2px)] w-[calc(100%+2px)] cursor-pointer opacity-0"
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface TogglesProps {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}

/** Any of a few: keys that stay down, each a native check box. */
export function Toggles({ label, options, chosen, onChange }: TogglesProps) {
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 text-sm text-ink2">{label}</legend>
      <div className="flex flex-wrap gap-1.5">
        {options.map((o) => (
          <label
            key={o.value}
            className="relative flex min-h-12 items-center rounded-[4px] border border-edge bg-panel px-3 hover:bg-inset has-checked:bg-ink has-checked:font-semibold has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue"
          >
            <input
              type="checkbox"
              className="absolute inset-0 size-full cursor-pointer opacity-0"
              aria-label={o.label}
              checked={chosen.includes(o.value)}
              onChange={(e) => onChange(e.target.checked ? [...chosen, o.value] : chosen.filter((x) => x !== o.value))}
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
