import { useLayoutEffect } from 'react';
import { store } from '../store/store.ts';
import { actOf, type Acts } from './bindings.ts';

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

/** A key with what is held beside it, as bindings name it. */
export function nameOfKey(e: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>): string {
  const mods = `${e.ctrlKey || e.metaKey ? 'Ctrl+' : ''}${e.altKey ? 'Alt+' : ''}`;
  const name = mods + (e.key.length === 1 && mods !== '' ? e.key.toLowerCase() : e.key);
  return mods !== '' && e.shiftKey ? `Shift+${name}` : name;
}

/** Acts of a view by their keys. Single keys do nothing while a field is being typed in, nor when they are switched off in Settings. */
export function useKeys(acts: Acts): void {
  // with the view itself, not after it is painted: a key pressed at once must not be lost
  useLayoutEffect(() => {
    const listen = (e: KeyboardEvent): void => {
      const name = nameOfKey(e);
      const act = actOf(acts, name);
      const held = e.ctrlKey || e.metaKey || e.altKey;
      // a key held down repeats: one press is one act
      if (!act || e.defaultPrevented || e.repeat) return;
      if (!held && (typing(e) || wanted(e) || store.getState().work.shop?.present.settings.singleKeys === false))
        return;
      // inside a field Ctrl+Z belongs to the field
      if (name.startsWith('Ctrl+') && !e.altKey && typing(e)) return;
      e.preventDefault();
      act();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [acts]);
}

/** Moves the focus among the rows of a view (`data-row` on each row's act): arrows choose, Enter on it accepts. */
export function useRows(): void {
  useKeys(ROW_ACTS);
}
const toRow = (by: 1 | -1) => (): void => {
  const rows = [...document.querySelectorAll<HTMLElement>('main [data-row]')];
  const at = rows.indexOf(document.activeElement as HTMLElement);
  const next = at < 0 ? (by > 0 ? 0 : rows.length - 1) : Math.min(rows.length - 1, Math.max(0, at + by));
  rows[next]?.focus();
};
const ROW_ACTS = { nextRow: toRow(1), rowBefore: toRow(-1) };
