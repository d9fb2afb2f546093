import type { ReactNode } from 'react';

/** A button of the header: a mark, its name said and shown on pointing. */
export function BarButton({
  label,
  children,
  pressed,
  ...rest
}: {
  readonly label: string;
  readonly children: ReactNode;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={pressed}
      title={label}
      className="inline-flex size-12 shrink-0 items-center justify-center rounded-[4px] hover:bg-panel disabled:opacity-45 aria-pressed:bg-ink aria-pressed:text-onink"
      {...rest}
    >
      {children}
    </button>
  );
}
