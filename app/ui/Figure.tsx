import { useId } from 'react';
import type { Step } from '../../core/quantity/working.ts';
import { useWorking } from './Working.tsx';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly other?: string | undefined;
  readonly working?: { readonly title: string; readonly steps: readonly Step[] };
}

function Body({ label, value, other }: Props) {
  return (
    <>
      <span className="block text-sm text-ink2">{label}</span>
      <span className="num block text-2xl font-semibold">{value}</span>
      {other !== undefined && <span className="block text-sm tabular-nums text-ink2">{other}</span>}
    </>
  );
}

/** A number to act on: label, figure, and the same in the other system; touched, it shows how it came about. */
export function Figure(props: Props) {
  const { working } = props;
  const show = useWorking(useId(), working?.title ?? '', working?.steps ?? []);
  if (!working)
    return (
      <div className="rounded-md bg-inset px-3 py-2">
        <Body {...props} />
      </div>
    );
  return (
    <button
      type="button"
      onClick={show}
      className="print-keep rounded-md bg-inset px-3 py-2 text-left hover:bg-bluesoft"
      title="Show how this came about"
    >
      <Body {...props} />
    </button>
  );
}
