import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Delete } from 'lucide-react';

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', 'back'] as const;

/** Puts text into a field as a hand does, so that the field hears it. */
function typeInto(field: HTMLInputElement, text: string): void {
  // past what the library keeps of the value, else it takes the change for its own
  Reflect.set(HTMLInputElement.prototype, 'value', text, field);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
/** The field into which figures and readings go; null: none is armed. */
export const armed = (): HTMLInputElement | null => document.querySelector<HTMLInputElement>('main [data-armed]');

/** Takes what stands in the armed field. */
export const takeArmed = (): void => {
  const field = armed();
  field?.focus();
  field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
};

interface Props {
  /** With a key of its own that takes the number. */
  readonly take?: boolean;
  /** With a key that turns the sign. */
  readonly signed?: boolean;
}

/** Figures large enough for a gloved hand; they go into the armed field. */
export function Keypad({ take = false, signed = false }: Props) {
  const change = (made: (now: string) => string): void => {
    const field = armed();
    if (!field) return;
    field.focus();
    typeInto(field, made(field.dataset['drafting'] === 'yes' ? field.value : ''));
  };
  const key = (label: string, face: ReactNode, onClick: () => void, wide = ''): ReactNode => (
    <button
      key={label}
      type="button"
      aria-label={label}
      className={clsx('key grid min-h-14 place-items-center rounded-[4px] text-3xl font-bold', wide || 'num')}
      // the field keeps the focus: what is typed and what is touched go the same way
      onPointerDown={(e) => e.preventDefault()}
      onClick={onClick}
    >
      {face}
    </button>
  );
  return (
    <div className="keypad grid grid-cols-3 gap-2" role="group" aria-label="Figures">
      {KEYS.map((k) =>
        k === 'back'
          ? key('Take the last figure back', <Delete aria-hidden size={28} />, () => change((now) => now.slice(0, -1)))
          : key(k === '.' ? 'Point' : k, k, () => change((now) => now + k)),
      )}
      {signed &&
        key('The other sign', '\u00b1', () => change((now) => (/^[-\u2212]/.test(now) ? now.slice(1) : `-${now}`)))}
      {take && key('Take it', 'Take it', takeArmed, signed ? 'col-span-2' : 'col-span-3')}
    </div>
  );
}
