import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cell, kept } from './keep.ts';

describe('an answer is kept by the identity of what it was worked out from', () => {
  test('once for the same objects and values, anew for an equal one that is another', () => {
    let asked = 0;
    const f = kept((o: { readonly n: number }, by: number | null) => {
      asked += 1;
      return { is: o.n * (by ?? 1) };
    });
    const [a, b] = [{ n: 2 }, { n: 2 }];
    expect(f(a, 3)).toBe(f(a, 3));
    expect(asked).toBe(1);
    expect(f(b, 3)).not.toBe(f(a, 3));
    expect(f(a, null)).toEqual({ is: 2 });
    expect(f(a, 4)).toEqual({ is: 8 });
    expect(asked).toBe(4);
  });
  test('null and undefined are answers too', () => {
    let asked = 0;
    const f = kept((_: object) => void (asked += 1));
    const o = {};
    f(o);
    f(o);
    expect(asked).toBe(1);
  });
  test('many plain values under one object do not grow without end, and stay right', () => {
    const f = kept((_: object, n: number) => n + 1);
    const o = {};
    for (let i = 0; i < 1000; i += 1) expect(f(o, i)).toBe(i + 1);
    expect(f(o, 0)).toBe(1);
  });
});

describe('a conclusion that rests on parts of a document', () => {
  interface Doc {
    readonly a: { readonly n: number };
    readonly b: { readonly n: number } | null;
    readonly note: string;
  }
  test('another document with the same parts has the same answer; it is handed those parts alone', () => {
    let asked = 0;
    const f = cell<Doc, 'a' | 'b', [number], { sum: number; keys: string[] }>(['a', 'b'], (d, by) => {
      asked += 1;
      return { sum: (d.a.n + (d.b?.n ?? 0)) * by, keys: Object.keys(d) };
    });
    const doc: Doc = { a: { n: 1 }, b: { n: 2 }, note: 'x' };
    const first = f(doc, 2);
    expect(first).toEqual({ sum: 6, keys: ['a', 'b'] });
    const noted: Doc = { ...doc, note: 'y' };
    expect(f(noted, 2)).toBe(first);
    expect(asked).toBe(1);
    expect(f({ ...doc, b: null }, 2).sum).toBe(2);
    expect(f({ ...doc, b: { n: 2 } }, 2)).not.toBe(first);
    expect(f(doc, 3).sum).toBe(9);
  });
  test('whatever parts are null, no two documents that differ in them share an answer', () => {
    const parts = fc.record({
      a: fc.option(fc.constantFrom(...[1, 2].map((n) => ({ n })))),
      b: fc.option(fc.constantFrom(...[1, 2].map((n) => ({ n })))),
    });
    type D = { readonly a: { n: number } | null; readonly b: { n: number } | null };
    const plain = (d: D): string => JSON.stringify([d.a, d.b]);
    const f = cell<D, 'a' | 'b', [], string>(['a', 'b'], plain);
    fc.assert(fc.property(fc.array(parts, { maxLength: 12 }), (docs) => docs.every((d) => f(d) === plain(d))));
  });
});
