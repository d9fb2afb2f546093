/** Facts by name, as short texts. */
export type Facts = Readonly<Record<string, string>>;

/** Facts that are lengths in mm: the same within half of what a micrometer shows. */
export const LENGTH_FACTS: ReadonlySet<string> = new Set(['Pitch diameter', 'Cleaning', 'Depth reached']);
const LENGTH_MM = 0.0005 + 1e-9;
/** A tip is the same within what a tool is measured to, mm. Common practice, no source. */
const TIP_MM = 0.002 + 1e-9;
/** Identity of the lathe: what it is called may change, and nothing has moved. */
export const LATHE_ID = 'Lathe id';

/**
 * A lathe as a fact: what it is called, and which it is.
 * @example latheFacts({ id: 'a', name: 'Bess' }).Lathe // 'Bess'
 */
export const latheFacts = (lathe: { readonly id: string; readonly name: string } | null): Facts =>
  lathe ? { Lathe: lathe.name, [LATHE_ID]: lathe.id } : { Lathe: 'none' };

/** The same whatever the order in which its fields were written. */
function sameFields(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) return a === b;
  const [x, y] = [Object.entries(a), b as Record<string, unknown>];
  return x.length === Object.keys(y).length && x.every(([k, v]) => sameFields(v, y[k]));
}
const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
};

/**
 * Whether a fact is what it was, as far as a lathe or a hand can tell.
 * @example [sameFact('Pitch diameter', '34.2714', '34.2716'), sameFact('Lead', '2', '3')] // [true, false]
 */
export function sameFact(fact: string, was: string, now: string): boolean {
  if (was === now) return true;
  if (LENGTH_FACTS.has(fact)) return Math.abs(Number(was) - Number(now)) <= LENGTH_MM;
  if (fact === 'Dials') return sameFields(parsed(was), parsed(now));
  if (fact === 'Tool') {
    const [[kind, a], [other, b]] = [was.split(' '), now.split(' ')];
    return kind === other && Math.abs(Number(a) - Number(b)) <= TIP_MM;
  }
  return false;
}

/**
 * Names of the facts that are no longer what they were, those that came or went among them. A lathe that is only called
 * otherwise is the same lathe; a record from before its identity was kept says nothing of it.
 * @example movedFacts({ Lathe: 'Bess', 'Lathe id': 'a' }, { Lathe: 'Bessie', 'Lathe id': 'a' }) // []
 */
export function movedFacts(then: Facts, now: Facts): string[] {
  const names = [...new Set([...Object.keys(then), ...Object.keys(now)])];
  const moved = names.filter((fact) => {
    const [a, b] = [then[fact], now[fact]];
    if (a === undefined || b === undefined) return a !== b && fact !== LATHE_ID;
    return !sameFact(fact, a, b);
  });
  const known = then[LATHE_ID] !== undefined && now[LATHE_ID] !== undefined;
  if (!known) return moved;
  const another = moved.includes(LATHE_ID);
  // another lathe is told by its name; the same one, called otherwise, not at all
  if (!another) return moved.filter((fact) => fact !== 'Lathe');
  return moved.includes('Lathe') ? moved.filter((fact) => fact !== LATHE_ID) : moved;
}
