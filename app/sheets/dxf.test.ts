import { expect, test } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { demo } from '../testing/bench.ts';
import { dxfOf } from './dxf.ts';
import { pdfOf } from './pdf.ts';
import { toolSheetOf } from './toolSheetOf.ts';

interface Polyline {
  readonly type: string;
  readonly layer: string;
  readonly vertices: readonly { readonly x: number; readonly y: number }[];
}
const sheet = () => {
  const b = demo('demo-sluice');
  const made = toolSheetOf(b.job, b.shop, 'mm');
  if (!made) throw new Error('no sheet');
  return made;
};

test('the DXF, opened again by another reader: mm, layers, the wedge of 29 degrees, the notch of the tool', () => {
  const dxf = new DxfParser().parseSync(dxfOf(sheet()));
  if (!dxf) throw new Error('not read');
  expect(dxf.header['$INSUNITS']).toBe(4);
  const lines = dxf.entities as unknown as readonly Polyline[];
  const of = (layer: string) => lines.filter((e) => e.layer === layer && e.vertices?.length > 3);
  const [wedge] = of('wedge');
  const [a, b, c, d] = wedge?.vertices ?? [];
  if (!a || !b || !c || !d) throw new Error('no wedge');
  const angle = (p: typeof a, q: typeof a) => (Math.atan2(Math.abs(q.x - p.x), Math.abs(q.y - p.y)) * 180) / Math.PI;
  expect(angle(a, b) + angle(c, d)).toBeCloseTo(29, 6);
  // y is upwards: the wedge is widest below
  expect(a.y).toBeLessThan(b.y);
  const [notch] = of('notch');
  const ys = notch?.vertices.slice(1, -3).map((v) => v.y) ?? [];
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(3.8626, 3);
  expect(of('thread')).toHaveLength(1);
});

test('the PDF is of the paper\u2019s size, and the same sheet gives the same lines', () => {
  const bytes = Buffer.from(pdfOf(sheet(), new Date('2026-11-27T00:00:00Z')));
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
  // 210 x 297 mm in points of 1/72 in
  const box = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(bytes.toString('latin1'));
  expect(Number(box?.[1])).toBeCloseTo((210 / 25.4) * 72, 1);
  expect(Number(box?.[2])).toBeCloseTo((297 / 25.4) * 72, 1);
});
