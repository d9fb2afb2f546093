import { Delete } from 'lucide-react';

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', 'back'] as const;

/** Puts text into a field as a hand does, so that the field hears it. */
function typeInto(field: HTMLInputElement, text: string): void {
  // past what the library keeps of the value, else it takes the change for its own
  Reflect.set(HTMLInputElement.prototype, 'value', text, field);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
const armed = (): HTMLInputElement | null => document.querySelector<HTMLInputElement>('main [data-armed]');

/** Takes what stands in the armed field. */
export const takeArmed = (): void => {
  const field = armed();
  field?.focus();
  field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
};

/** Figures large enough for a gloved hand; they go into the armed field. */
export function Keypad() {
  const press = (key: (typeof KEYS)[number]): void => {
    const field = armed();
    if (!field) return;
    field.focus();
    const now = field.dataset['drafting'] === 'yes' ? field.value : '';
    typeInto(field, key === 'back' ? now.slice(0, -1) : now + key);
  };
  return (
    <div className="keypad grid grid-cols-3 gap-2" role="group" aria-label="Figures">
      {KEYS.map((k) => (
        <button
          key={k}
          type="button"
          aria-label={k === 'back' ? 'Take the last figure back' : k === '.' ? 'Point' : k}
          className="key num grid min-h-14 place-items-center rounded-[4px] text-3xl font-bold"
          // the field keeps the focus: what is typed and what is touched go the same way
          onPointerDown={(e) => e.preventDefault()}
          onClick={() => press(k)}
        >
          {k === 'back' ? <Delete aria-hidden size={28} /> : k}
        </button>
      ))}
    </div>
  );
}
