import { CAPITAL, type Sheet } from '../../core/sheet/shapes.ts';

const escape = (t: string): string => t.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const n = (x: number): string => String(Number(x.toFixed(4)));

const MONO = ' font-family="Atkinson Hyperlegible Mono, Menlo, Consolas, monospace"';

/** The sheet as SVG in mm: printed at 100 % it is true to scale. @see SVG 1.1, W3C */
export function svgOf(sheet: Sheet): string {
  const body = sheet.shapes.map((s) => {
    if (s.kind === 'text')
      return `<text x="${n(s.at.x)}" y="${n(s.at.y)}" font-size="${n(s.mm / CAPITAL)}" text-anchor="${s.anchor}"${s.bold ? ' font-weight="700"' : ''}${s.mono ? MONO : ''}>${escape(s.text)}</text>`;
    if (s.kind === 'area') return `<path d="M${s.points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}Z" fill="#000"/>`;
    const d = `M${s.points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${s.closed ? 'Z' : ''}`;
    return `<path class="${s.on}" d="${d}" fill="none" stroke="#000" stroke-width="${s.heavy ? 0.35 : 0.18}"${s.dashed ? ' stroke-dasharray="2 1.2"' : ''}/>`;
  });
  const { widthMm: w, heightMm: h } = sheet;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}"`,
    ' font-family="Atkinson Hyperlegible Next, Helvetica, Arial, sans-serif">',
    `<title>${escape(sheet.title)}</title>`,
    `<rect width="${w}" height="${h}" fill="#fff"/>`,
    ...body,
    '</svg>\n',
  ].join('\n');
}
