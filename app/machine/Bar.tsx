import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Check, ChevronRight } from 'lucide-react';
import { Button } from '../ui/controls.tsx';
import { takeArmed } from './Keypad.tsx';
import { takesFirst } from './standing.ts';

/** The pinned acts: smaller ones first, the one that goes on large and last; upright it lies over the whole width, on top. */
export function Bar({ children, main }: { readonly children?: ReactNode; readonly main?: ReactNode }) {
  return (
    <div className="bar flex flex-wrap gap-2 lg:flex-nowrap lg:gap-3" {...takesFirst}>
      <div
        role="group"
        aria-label="Besides"
        className="bar-more flex empty:hidden min-w-0 flex-wrap gap-2 max-lg:order-2 max-lg:w-full lg:gap-3"
      >
        {children}
      </div>
      {main !== undefined && <div className="flex min-w-0 grow gap-2 max-lg:w-full lg:min-w-[30%]">{main}</div>}
    </div>
  );
}

interface MainProps {
  readonly onClick: () => void;
  readonly children: ReactNode;
  /** What comes after it. */
  readonly then?: string | null;
  /** Goes on to something, in place of saying that something is so. */
  readonly onward?: boolean;
  readonly shut?: boolean;
  readonly disabled?: boolean;
  /** It takes the number that stands in the field, by itself. */
  readonly takes?: boolean;
}
/** The one act that goes on, as large as the hand needs. */
export function MainAct({
  onClick,
  children,
  then = null,
  onward = false,
  shut,
  disabled = false,
  takes = false,
}: MainProps) {
  return (
    <Button
      tone="main"
      className="bar-main w-full flex-wrap gap-x-4 leading-tight"
      disabled={disabled}
      {...(takes ? { 'data-takes': 'yes' } : {})}
      onClick={onClick}
      {...(shut === undefined ? {} : { 'aria-disabled': shut, 'data-shut': shut ? 'yes' : 'no' })}
    >
      <span className="inline-flex items-center gap-2 text-[clamp(1.6rem,2.6vw,2.1rem)]">
        {onward ? <ChevronRight aria-hidden size={30} /> : <Check aria-hidden size={30} />} {children}
      </span>
      {then !== null && (
        <span className="text-lg font-medium max-sm:hidden" aria-hidden>
          then: {then}
        </span>
      )}
    </Button>
  );
}

/** Takes what stands in the field; the one that goes on where a number is asked for. */
export function TakeAct({ children = 'Take it' }: { readonly children?: ReactNode }) {
  return (
    <MainAct takes onClick={takeArmed}>
      {children}
    </MainAct>
  );
}

/** A smaller act beside it. */
export function SideAct({
  onClick,
  children,
  pressed,
  chosen,
  className,
  label,
}: {
  readonly onClick: () => void;
  readonly children: ReactNode;
  readonly pressed?: boolean;
  /** One of several ways, and this is the one. */
  readonly chosen?: boolean;
  readonly className?: string;
  readonly label?: string;
}) {
  return (
    <Button
      onClick={onClick}
      className={clsx(
        'bar-side min-w-[5.5rem] grow px-3 text-[1.06rem] font-semibold leading-tight aria-expanded:bg-ink aria-expanded:bg-none aria-expanded:text-onink aria-pressed:bg-ink aria-pressed:bg-none aria-pressed:text-onink',
        className,
      )}
      {...(pressed === undefined ? {} : { 'aria-expanded': pressed })}
      {...(chosen === undefined ? {} : { 'aria-pressed': chosen })}
      {...(label === undefined ? {} : { 'aria-label': label })}
    >
      {children}
    </Button>
  );
}
