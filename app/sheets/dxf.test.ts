import { expect, test } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { demo } from '../testing/bench.ts';
import { dxfOf } from './dxf.ts';
import { pageOf } from '../testing/paper.ts';

interface Polyline {
  readonly type: string;
  readonly layer: string;
  readonly vertices: readonly { readonly x: number; readonly y: number }[];
}
const sheet = () => pageOf('tool', demo('demo-sluice'));

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
