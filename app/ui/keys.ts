import { useLayoutEffect } from 'react';
import { store } from '../store/store.ts';

const typing = (e: KeyboardEvent): boolean => {
  const t = e.target;
  if (t instanceof HTMLInputElement && (t.type === 'radio' || t.type === 'checkbox')) return false;
  return t instanceof HTMLElement && (t.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(t.tagName));
};

/** True for a key that a control under focus wants for itself. */
const wanted = (e: KeyboardEvent): boolean => {
  const t = e.target;
  if (!(t instanceof HTMLElement)) return false;
  if (e.key === 'Enter' || e.key === ' ') return t.closest('button, a, input, [role=button], summary') !== null;
  // arrows belong to fields, rows of choices and what scrolls; a button has no use for them
  return e.key.startsWith('Arrow') && t.closest('input, select, textarea, [role=radiogroup], [role=region]') !== null;
};

/**
 * Keys of a view. A name such as "d", "?", "Ctrl+z", "Alt+ArrowDown". Single keys do nothing while a field is being typed
 * in, nor when they are switched off in Settings.
 */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  // with the view itself, not after it is painted: a key pressed at once must not be lost
  useLayoutEffect(() => {
    const listen = (e: KeyboardEvent): void => {
      const mods = `${e.ctrlKey || e.metaKey ? 'Ctrl+' : ''}${e.altKey ? 'Alt+' : ''}`;
      const name = mods + (e.key.length === 1 && mods !== '' ? e.key.toLowerCase() : e.key);
      const act = keys[mods !== '' && e.shiftKey ? `Shift+${name}` : name];
      // a key held down repeats: one press is one act
      if (!act || e.defaultPrevented || e.repeat) return;
      if (mods === '' && (typing(e) || wanted(e) || store.getState().work.shop?.present.settings.singleKeys === false))
        return;
      // inside a field Ctrl+Z belongs to the field
      if (mods === 'Ctrl+' && typing(e)) return;
      e.preventDefault();
      act();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [keys]);
}

/** Moves the focus among the rows of a view (`data-row` on each row's act): arrows choose, Enter on it accepts. */
export function useRows(): void {
  useKeys(ROW_KEYS);
}
const toRow = (by: 1 | -1) => (): void => {
  const rows = [...document.querySelectorAll<HTMLElement>('main [data-row]')];
  const at = rows.indexOf(document.activeElement as HTMLElement);
  const next = at < 0 ? (by > 0 ? 0 : rows.length - 1) : Math.min(rows.length - 1, Math.max(0, at + by));
  rows[next]?.focus();
};
const ROW_KEYS = { ArrowDown: toRow(1), ArrowUp: toRow(-1) };

/** Everything that the key list shows. */
export const KEY_LIST: readonly { readonly keys: string; readonly does: string; readonly where: string }[] = [
  { keys: '?', does: 'Show this list', where: 'Everywhere' },
  { keys: 'Ctrl Z / Ctrl Y', does: 'Undo / redo', where: 'Everywhere' },
  { keys: 'n', does: 'New job', where: 'Jobs' },
  { keys: '1 to 6', does: 'Choose an answer', where: 'Practice' },
  { keys: 'Space', does: 'Shut the half-nuts', where: 'Practice' },
  { keys: '\u2190 and \u2192', does: 'Move the slide, the work or the gear', where: 'Practice' },
  { keys: '[ and ]', does: 'Previous and next station', where: 'In a job' },
  { keys: 'Alt \u2191 / Alt \u2193', does: 'Previous and next station, also while typing', where: 'In a job' },
  { keys: 's', does: 'Settle this station', where: 'In a job' },
  {
    keys: 'Alt 1 \u2026 Alt 9',
    does: 'Arm a reading: outside, crests, angle, leaf, root, depth \u2026',
    where: 'Read',
  },
  { keys: 'Enter', does: 'Take the reading typed', where: 'Read' },
  { keys: 'Alt Enter', does: 'Take it as it was meant, when a slip is shown', where: 'Read' },
  { keys: 'Alt Backspace', does: 'Undo the last reading', where: 'Read' },
  { keys: '\u2191 \u2193, Enter', does: 'Choose a candidate; accept it', where: 'Name' },
  { keys: '\u2191 \u2193, Enter', does: 'Choose a train; take it', where: 'Gears' },
  { keys: 'd', does: 'Pass done', where: 'Cut' },
  { keys: 'b', does: 'Take the last pass back', where: 'Cut' },
];
