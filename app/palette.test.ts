import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';

// Contrast of every pair of colours that stand on each other, as WCAG 2.2 works it out (relative luminance; 1.4.3, 1.4.11).
const css = readFileSync(new URL('./app.css', import.meta.url), 'utf8');
const block = (selector: string): Readonly<Record<string, string>> => {
  const from = css.indexOf(`${selector} {\n  --page: #`);
  const text = css.slice(from, css.indexOf('}', from));
  const pairs = [...text.matchAll(/--(\w+): (#[0-9a-f]{6});/g)].map(([, name, value]) => [name, value] as const);
  return Object.fromEntries(pairs) as Record<string, string>;
};
const LIGHT = block(':root');
const SCHEMES = { light: LIGHT, dark: { ...LIGHT, ...block("[data-theme='dark']") } };

const luminance = (hex: string): number => {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
};
test('black on white is 21, and the worked example of WCAG: #777777 on white is 4.48', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});

const TEXT: readonly (readonly [string, readonly string[]])[] = [
  ['ink', ['page', 'page2', 'panel', 'inset', 'bluesoft', 'looksoft', 'gosoft', 'stopsoft']],
  ['ink2', ['page', 'page2', 'panel', 'inset']],
  ['onink', ['ink']],
  ['blue', ['panel', 'inset', 'bluesoft']],
  ['onblue', ['blue']],
  ['look', ['panel', 'looksoft']],
  ['go', ['panel', 'gosoft']],
  ['stop', ['panel', 'stopsoft']],
  ['scribe', ['plate', 'plate2', 'deep']],
  ['scribe2', ['plate', 'plate2', 'deep']],
  ['straw', ['plate', 'plate2', 'deep']],
  ['goplate', ['plate', 'plate2']],
  ['stopplate', ['plate', 'plate2']],
  ['strawink', ['straw']],
];
const EDGES: readonly (readonly [string, readonly string[]])[] = [['edge', ['page', 'panel', 'inset']]];

describe.each(Object.entries(SCHEMES))('%s', (_, scheme) => {
  const of = (name: string): string => {
    const value = scheme[name];
    if (value === undefined) throw new Error(`--${name} is not in the palette`);
    return value;
  };
  test.each(TEXT.flatMap(([text, on]) => on.map((ground) => [text, ground] as const)))(
    'text in %s is read on %s: 4.5 at least',
    (text, ground) => expect(contrast(of(text), of(ground))).toBeGreaterThanOrEqual(4.5),
  );
  test.each(EDGES.flatMap(([edge, on]) => on.map((ground) => [edge, ground] as const)))(
    'the edge of a field, %s, is seen on %s: 3 at least',
    (edge, ground) => expect(contrast(of(edge), of(ground))).toBeGreaterThanOrEqual(3),
  );
});
