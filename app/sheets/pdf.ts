import { jsPDF } from 'jspdf';
import type { Sheet } from '../../core/sheet/shapes.ts';

/** A capital's height over the size of its letters, and points in a mm. */
const CAPITAL = 0.72;
const POINT_MM = 25.4 / 72;

/** The sheet as PDF at its own size, in a letter that every reader has. */
export function pdfOf(sheet: Sheet, made: Date): ArrayBuffer {
  const pdf = new jsPDF({ unit: 'mm', format: [sheet.widthMm, sheet.heightMm], compress: true });
  pdf.setProperties({ title: sheet.title });
  pdf.setCreationDate(made);
  for (const s of sheet.shapes) {
    if (s.kind === 'text') {
      pdf.setFont('helvetica', s.bold ? 'bold' : 'normal');
      pdf.setFontSize(s.mm / CAPITAL / POINT_MM);
      pdf.text(s.text, s.at.x, s.at.y, {
        align: ({ start: 'left', middle: 'center', end: 'right' } as const)[s.anchor],
      });
      continue;
    }
    const [first, ...rest] = s.points;
    if (!first) continue;
    pdf.setLineWidth(s.heavy ? 0.35 : 0.18);
    pdf.setLineDashPattern(s.dashed ? [2, 1.2] : [], 0);
    let at = first;
    const steps = rest.map((p) => {
      const step: [number, number] = [p.x - at.x, p.y - at.y];
      at = p;
      return step;
    });
    pdf.lines(steps, first.x, first.y, [1, 1], 'S', s.closed);
  }
  return pdf.output('arraybuffer');
}
