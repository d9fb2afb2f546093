import { expect, test } from '@jest/globals';
import { atControl, named, type Bench } from '../testing/bench.ts';
import { pagesOfSheet } from '../testing/paper.ts';
import { svgOf } from './svg.ts';

const told = (): Bench =>
  atControl(named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setUp', lengthMm: 40, rpm: 200 })).do(
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 29.93 },
    { do: 'touchOff' },
  );

test('the figures for a control: each with how it came, what is looked at before it runs, and room for all of it on letter', () => {
  const pages = pagesOfSheet('parameters', told(), 'letter');
  expect(pages.length).toBeGreaterThan(0);
  const texts = pages.flatMap((p) => p.shapes.flatMap((s) => (s.kind === 'text' ? [s] : [])));
  const said = texts.map((t) => t.text);
  for (const wanted of [
    'Lead',
    '2 mm',
    'Z 0, the face',
    'chuck key out, guard shut',
    'Before it runs',
    'Deeper afterwards',
  ])
    expect(said).toContain(wanted);
  expect(said.join(' ')).toContain('A proposal: the control\u2019s own manual rules.');
  // nothing is written over anything: of two texts on a line the left one ends before the right one begins
  for (const page of pages) {
    const own = page.shapes.filter((s) => s.kind === 'text');
    for (const t of own) {
      expect(t.at.y).toBeLessThan(page.heightMm - 12);
      const same = own.filter(
        (o) => o !== t && Math.abs(o.at.y - t.at.y) < 0.5 && o.anchor === 'start' && t.anchor === 'start',
      );
      for (const o of same) if (o.at.x === t.at.x) expect(o.text).toBe(t.text);
    }
  }
  expect(svgOf(pages[0] ?? fail())).toContain('29.93');
});
test('a geared lathe has none, and one that is told has no gear card', () => {
  expect(pagesOfSheet('gears', told())).toEqual([]);
  expect(pagesOfSheet('parameters', named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-bess' }))).toEqual([]);
});
function fail(): never {
  throw new Error('no page');
}
