import { jsPDF } from 'jspdf';
import { CAPITAL, type Shape, type Sheet } from '../../core/sheet/shapes.ts';

const POINT_MM = 25.4 / 72;
const ALIGN = { start: 'left', middle: 'center', end: 'right' } as const;
/** The faces of the paper, as the writer keeps them. */
export const FACES = ['sans', 'bold', 'mono', 'monoBold'] as const;
type Face = (typeof FACES)[number];
/** A TTF of each, base64. */
export type Fonts = Readonly<Record<Face, string>>;

/** A text as a picture, where a face lacks its letters: a data address of a PNG, and its size, mm from its baseline's start. */
export type DrawText = (
  text: Extract<Shape, { kind: 'text' }>,
) => { readonly data: string; readonly wide: number; readonly above: number; readonly tall: number } | null;

const faceOf = (s: Extract<Shape, { kind: 'text' }>): Face =>
  s.mono ? (s.bold ? 'monoBold' : 'mono') : s.bold ? 'bold' : 'sans';

/**
 * Sheets as one PDF, each page of its own size, true to scale. A letter that the faces lack would vanish in silence: such a
 * text is drawn as a picture instead, in whatever the machine has.
 */
export function pdfOf(sheets: readonly Sheet[], fonts: Fonts, made: Date, draw: DrawText): ArrayBuffer {
  const [first] = sheets;
  if (!first) throw new Error('no sheet to write');
  const format = (s: Sheet): [number, number] => [s.widthMm, s.heightMm];
  const way = (s: Sheet): 'p' | 'l' => (s.widthMm > s.heightMm ? 'l' : 'p');
  const pdf = new jsPDF({ unit: 'mm', format: format(first), orientation: way(first), compress: true });
  for (const face of FACES) {
    pdf.addFileToVFS(`${face}.ttf`, fonts[face]);
    pdf.addFont(`${face}.ttf`, face, 'normal');
  }
  pdf.setProperties({ title: first.title, creator: 'Gelvin' });
  pdf.setCreationDate(made);
  pdf.setFileId('0'.repeat(32));
  pdf.setLineJoin('miter');
  sheets.forEach((sheet, i) => {
    if (i > 0) pdf.addPage(format(sheet), way(sheet));
    for (const s of sheet.shapes) one(pdf, s, draw);
  });
  return pdf.output('arraybuffer');
}

function one(pdf: jsPDF, s: Shape, draw: DrawText): void {
  if (s.kind === 'text') return written(pdf, s, draw);
  const [first, ...rest] = s.points;
  if (!first) return;
  let at = first;
  const steps = rest.map((p) => {
    const step: [number, number] = [p.x - at.x, p.y - at.y];
    at = p;
    return step;
  });
  if (s.kind === 'area') {
    pdf.lines(steps, first.x, first.y, [1, 1], 'F', true);
    return;
  }
  pdf.setLineWidth(s.heavy ? 0.35 : 0.18);
  pdf.setLineDashPattern(s.dashed ? [2, 1.2] : [], 0);
  pdf.lines(steps, first.x, first.y, [1, 1], 'S', s.closed);
}

/** Which letters a face has, by their code points. */
interface FontFile {
  readonly cmap: { readonly unicode: { readonly codeMap: object } };
}

function written(pdf: jsPDF, s: Extract<Shape, { kind: 'text' }>, draw: DrawText): void {
  pdf.setFont(faceOf(s), 'normal');
  // the library's types leave out what the font file says of itself
  const { metadata } = pdf.getFont() as { readonly metadata?: unknown };
  const { codeMap } = (metadata as FontFile).cmap.unicode;
  const lacks = [...s.text].some((c) => c.trim() !== '' && !(String(c.codePointAt(0)) in codeMap));
  const drawn = lacks ? draw(s) : null;
  if (drawn) {
    const left = { start: 0, middle: drawn.wide / 2, end: drawn.wide }[s.anchor];
    pdf.addImage(drawn.data, 'PNG', s.at.x - left, s.at.y - drawn.above, drawn.wide, drawn.tall);
    return;
  }
  pdf.setFontSize(s.mm / CAPITAL / POINT_MM);
  pdf.text(s.text, s.at.x, s.at.y, { align: ALIGN[s.anchor] });
}
