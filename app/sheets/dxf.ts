import Drawing from 'dxf-writer';
import { LAYERS, type Sheet } from '../../core/sheet/shapes.ts';

/** The sheet as DXF in mm, its y upwards as drawing programs have it; each template on a layer of its own. */
export function dxfOf(sheet: Sheet): string {
  const d = new Drawing();
  d.setUnits('Millimeters');
  for (const name of LAYERS) d.addLayer(name, Drawing.ACI.WHITE, 'CONTINUOUS');
  d.addLayer('text', Drawing.ACI.WHITE, 'CONTINUOUS');
  const up = (y: number): number => sheet.heightMm - y;
  for (const s of sheet.shapes) {
    if (s.kind === 'line') {
      d.setActiveLayer(s.on);
      d.drawPolyline(
        s.points.map((p): [number, number] => [p.x, up(p.y)]),
        s.closed,
      );
    } else if (s.kind === 'text') {
      d.setActiveLayer('text');
      const align = ({ start: 'left', middle: 'center', end: 'right' } as const)[s.anchor];
      d.drawText(s.at.x, up(s.at.y), s.mm, 0, s.text, align);
    }
  }
  return d.toDxfString();
}
