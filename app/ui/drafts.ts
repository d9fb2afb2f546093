import { createContext, createElement, useCallback, useContext, useState, type ReactNode } from 'react';

/**
 * Text that is being typed and means nothing yet. It is kept as it is typed, so that it is there again after a reload, a
 * closed tab or another view; taking it or Escape lets it go.
 */
const PREFIX = 'gelvin-draft ';
/** More than anybody leaves lying about: the oldest go. */
const MOST = 200;

interface Kept {
  readonly text: string;
  /** Order of typing. */
  readonly n: number;
}
const storage = (): Storage | null => {
  try {
    return globalThis.localStorage;
  } catch {
    return null; // the browser gives none: then drafts live as long as the page
  }
};
const memory = new Map<string, string>();

function keptAt(key: string): string | null {
  const here = memory.get(key);
  if (here !== undefined) return here;
  try {
    const raw = storage()?.getItem(PREFIX + key) ?? null;
    return raw === null ? null : (JSON.parse(raw) as Kept).text;
  } catch {
    return null;
  }
}
function keepAt(key: string, text: string | null): void {
  if (text === null) memory.delete(key);
  else memory.set(key, text);
  const store = storage();
  if (!store) return;
  try {
    if (text === null) store.removeItem(PREFIX + key);
    else {
      store.setItem(PREFIX + key, JSON.stringify({ text, n: Date.now() } satisfies Kept));
      prune(store);
    }
  } catch {
    // full: the page still has it
  }
}
function prune(store: Storage): void {
  const ours = Object.keys(store).filter((k) => k.startsWith(PREFIX));
  if (ours.length <= MOST) return;
  const n = (k: string): number => {
    try {
      return (JSON.parse(store.getItem(k) ?? '') as Kept).n;
    } catch {
      return 0;
    }
  };
  for (const k of ours.sort((a, b) => n(a) - n(b)).slice(0, ours.length - MOST)) store.removeItem(k);
}

const Scope = createContext('');
/** Tells fields of one label apart: those of a row or a slot. */
export function DraftScope({ id, children }: { readonly id: string; readonly children: ReactNode }): ReactNode {
  const outer = useContext(Scope);
  return createElement(Scope.Provider, { value: `${outer}/${id}` }, children);
}

/** The draft of a field of this address; null: nothing is being typed. @param field what it is called there */
export function useDraft(field: string): readonly [string | null, (text: string | null) => void] {
  const scope = useContext(Scope);
  // the address is the one where the field was first shown: a view that is left keeps its own
  const [address] = useState(() => globalThis.location?.pathname ?? '');
  const key = `${address}${scope} ${field}`;
  const [held, setHeld] = useState(() => ({ key, text: keptAt(key) }));
  // one place may stand for one field after another
  const now = held.key === key ? held : { key, text: keptAt(key) };
  if (now !== held) setHeld(now);
  const set = useCallback(
    (text: string | null) => {
      keepAt(key, text);
      setHeld({ key, text });
    },
    [key],
  );
  return [now.text, set];
}

/** Lets go of every draft, as when the record is replaced. */
export function dropDrafts(): void {
  memory.clear();
  const store = storage();
  if (store) for (const k of Object.keys(store)) if (k.startsWith(PREFIX)) store.removeItem(k);
}
