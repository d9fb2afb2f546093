/**
 * A document is a value: a change of it is another one, and what is worked out from it is kept by its identity. All of it,
 * to the last list, is therefore only read.
 */
export type Unwritten<T> = T extends object ? { readonly [K in keyof T]: Unwritten<T[K]> } : T;
