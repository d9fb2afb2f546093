type Json = unknown;
const isObject = (x: Json): x is Record<string, Json> => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Places where two documents differ, as paths such as "intake.note"; list items by their identity where they have one. */
function changedPlaces(before: Json, after: Json, path = ''): string[] {
  if (Object.is(before, after)) return [];
  const at = (key: string): string => (path === '' ? key : `${path}.${key}`);
  const keyed = (x: Json): Record<string, Json> | null =>
    isObject(x)
      ? x
      : Array.isArray(x) && x.every((i) => isObject(i) && typeof i['id'] === 'string')
        ? Object.fromEntries(x.map((i) => [String((i as Record<string, Json>)['id']), i as Json]))
        : null;
  const [a, b] = [keyed(before), keyed(after)];
  if (!a || !b) return JSON.stringify(before) === JSON.stringify(after) ? [] : [path];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) => changedPlaces(a[key], b[key], at(key)));
}

/**
 * Places that both changed: the later change stands over the earlier one there.
 * @example bothChanged({ a: 1 }, { a: 2 }, { a: 3 }, []) // ['a']
 */
export function bothChanged(base: Json, theirs: Json, mine: Json, except: readonly string[]): string[] {
  const other = new Set(changedPlaces(base, theirs));
  return changedPlaces(base, mine).filter((p) => other.has(p) && !except.includes(p));
}
