export declare function shipped(): readonly {
  readonly key: string;
  readonly pkg: { readonly license?: unknown };
  readonly at: string;
}[];
