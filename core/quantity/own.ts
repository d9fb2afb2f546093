/**
 * What a table holds under a name that somebody typed; what every object inherits ("constructor") is not in it.
 * @example own({ a: 1 }, 'constructor') // undefined
 */
export const own = <T>(table: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(table, name) ? table[name] : undefined;

/** An object without what is null in it: null says that a thing is not known, or is taken away. @example withoutNulls({ a: 1, b: null }) // { a: 1 } */
export const withoutNulls = <T extends object>(o: T): { [K in keyof T]?: Exclude<T[K], null> } =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== null)) as { [K in keyof T]?: Exclude<T[K], null> };
