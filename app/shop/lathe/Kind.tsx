import { LATHE_KINDS, type LatheKind } from '../../../core/lathe/schema.ts';
import { LATHE_KIND_NAMES } from '../../../words/lathe.ts';

/** What drives the carriage, each as a little drawing: only what that kind has is asked for below. */
export function Kind({ kind, onChange }: { readonly kind: LatheKind; readonly onChange: (k: LatheKind) => void }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-ink2">What drives the carriage</legend>
      <div className="grid grid-cols-2 gap-2 md:grid-cols-4">
        {LATHE_KINDS.map((k) => (
          <label
            key={k}
            className="relative flex min-h-16 cursor-pointer items-center gap-3 rounded-[4px] border border-edge bg-panel p-2 hover:bg-inset has-checked:bg-ink has-checked:font-semibold has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue"
          >
            <input
              type="radio"
              name="kind"
              value={k}
              aria-label={LATHE_KIND_NAMES[k]}
              checked={kind === k}
              onChange={() => onChange(k)}
              className="absolute inset-0 size-full cursor-pointer opacity-0"
            />
            <svg
              viewBox="0 0 56 40"
              className="h-10 w-14 shrink-0"
              aria-hidden
              fill="none"
              stroke="currentColor"
              strokeWidth="2.4"
            >
              <path d={SHAPES[k]} strokeLinejoin="round" />
            </svg>
            {LATHE_KIND_NAMES[k]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

const SHAPES: Readonly<Record<LatheKind, string>> = {
  'change-gears':
    'M15 14m-9 0a9 9 0 1 0 18 0a9 9 0 1 0 -18 0M36 26m-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0M15 14h.1M36 26h.1',
  gearbox: 'M6 18h44v18h-44zM16 18v-12M28 18v-8M40 18v-14M13 6h6M25 10h6M37 4h6',
  electronic: 'M8 6h40v20h-40zM14 13h14M14 19h8M36 16h6M4 34h48M10 30v8M46 30v8',
  control: 'M8 4h40v24h-40zM8 28h40v8h-40zM14 10l6 5l-6 5M24 20h10M16 32h.1M24 32h.1M32 32h.1M40 32h.1',
};
