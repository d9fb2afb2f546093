/** Where of a job words were found. */
const PLACES: Readonly<Record<string, string>> = {
  title: 'its title',
  customer: 'its customer',
  thread: 'its thread',
  read: 'its readings',
  lathe: 'its lathe',
  notes: 'its notes',
};

/** More words than these say no more. */
const MOST = 3;

/** Why a job was found: each word that matched, and where it stands. */
export const foundText = (why: readonly { readonly word: string; readonly in: readonly string[] }[]): string =>
  why
    .slice(0, MOST)
    .map((w) => `\u201c${w.word}\u201d in ${w.in.map((p) => PLACES[p] ?? p).join(' and ')}`)
    .join(', ');
