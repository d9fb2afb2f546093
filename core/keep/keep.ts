/**
 * What was worked out once of the same things is not worked out again. The same things are the same objects: documents are
 * never written to (`quantity/unwritten.ts`), so that an answer that was right of an object stays right of it. An answer
 * goes with the objects it was worked out from.
 */
interface Twig {
  readonly objects: WeakMap<object, Twig>;
  readonly plain: Map<unknown, Twig>;
  answer?: { readonly is: unknown };
}
const twig = (): Twig => ({ objects: new WeakMap(), plain: new Map() });

function grown(from: Twig, by: unknown): Twig {
  const held = typeof by === 'object' && by !== null ? from.objects : from.plain;
  const key = by as object;
  const there = held.get(key);
  if (there) return there;
  const made = twig();
  held.set(key, made);
  return made;
}

/** Plain values under one object are few (a station, an angle): more than this and the oldest go. */
const MOST_PLAIN = 200;

/** The twig that one thing after another leads to. */
function under(from: Twig, given: readonly unknown[]): Twig {
  let at = from;
  for (const by of given) {
    if (at.plain.size > MOST_PLAIN) at.plain.clear();
    at = grown(at, by);
  }
  return at;
}

/**
 * A pure function that keeps its answers by the identity of what it is given. What comes first has to be an object: the
 * answers are let go of with it.
 * @example kept((o) => ({ twice: 2 * o.n }))({ n: 2 }) // { twice: 4 }
 */
export function kept<A extends readonly [object, ...unknown[]], T>(derive: (...given: A) => T): (...given: A) => T {
  const root = twig();
  return (...given) => {
    const at = under(root, given);
    at.answer ??= { is: derive(...given) };
    return at.answer.is as T;
  };
}

/**
 * The same of some parts of a document: another document in which those parts are the same objects has the same answer. It is
 * handed an object that holds those parts and no others, so that one that is read and not named is a type error.
 * @example cell(['a'], (d) => d.a.n + 1)({ a: { n: 1 } }) // 2
 */
export function cell<D extends object, K extends keyof D, A extends readonly unknown[], T>(
  parts: readonly K[],
  derive: (of: Pick<D, K>, ...more: A) => T,
): (doc: Pick<D, K>, ...more: A) => T {
  const root = twig();
  return (doc, ...more) => {
    const values = parts.map((p) => doc[p]);
    // what is null has nothing to let answers go with: it comes after the objects
    const there = values.filter((v) => typeof v === 'object' && v !== null);
    if (there.length === 0) return derive(doc, ...more);
    let at = root;
    for (const v of there) at = grown(at, v);
    at = grown(at, values.map((v) => (typeof v === 'object' && v !== null ? '' : String(v))).join('|'));
    at = under(at, more);
    if (!at.answer) {
      const only = Object.fromEntries(parts.map((p, i) => [p, values[i]])) as Pick<D, K>;
      at.answer = { is: derive(only, ...more) };
    }
    return at.answer.is as T;
  };
}
