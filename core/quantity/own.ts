/** What a table holds under a name that somebody typed; what every object inherits ("constructor") is not in it. */
export const own = <T>(table: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(table, name) ? table[name] : undefined;
