import type { MouseEvent, PointerEvent } from 'react';
import { armed, takeArmed } from './Keypad.tsx';

/** A number that is typed and not taken yet. */
function standing(): boolean {
  const field = armed();
  return field !== null && field.dataset['drafting'] === 'yes' && field.value.trim() !== '';
}
const actAt = (target: EventTarget): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('button, a') : null;

/**
 * Acts beside a field: a number that stands there is taken first, and the act that was pressed is done then, where it is still
 * offered. A number that is refused stays, with what is wrong with it, and the act waits: no press is swallowed.
 */
export const takesFirst = {
  onPointerDownCapture: (e: PointerEvent): void => {
    // the field keeps the focus: leaving it would take the number and move what is being pressed
    if (standing() && actAt(e.target)) e.preventDefault();
  },
  onClickCapture: (e: MouseEvent): void => {
    const pressed = actAt(e.target);
    if (!pressed || !e.isTrusted || !standing() || pressed.dataset['takes'] === 'yes') return;
    e.preventDefault();
    e.stopPropagation();
    const label = pressed.textContent;
    takeArmed();
    setTimeout(() => {
      if (!standing() && pressed.isConnected && pressed.textContent === label) pressed.click();
    }, 0);
  },
};
