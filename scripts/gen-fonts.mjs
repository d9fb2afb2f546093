// The letters of the paper: the faces that the screen has too, as the PDF's writer wants them (TTF), and how wide each letter
// is, so that core can break lines without a screen.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import { jsPDF } from 'jspdf';

/** WOFF 1 is a TTF with its tables packed one by one. @see WOFF File Format 1.0, W3C */
function ttfOf(woff) {
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const p = 44 + 20 * i;
    const [at, packed, whole] = [4, 8, 12].map((o) => woff.readUInt32BE(p + o));
    const raw = woff.subarray(at, at + packed);
    return {
      tag: woff.subarray(p, p + 4),
      sum: woff.readUInt32BE(p + 16),
      data: packed < whole ? inflateSync(raw) : raw,
    };
  });
  const power = Math.floor(Math.log2(count));
  const head = Buffer.alloc(12 + 16 * count);
  head.writeUInt32BE(woff.readUInt32BE(4), 0);
  [count, 16 * 2 ** power, power, 16 * (count - 2 ** power)].forEach((v, i) => head.writeUInt16BE(v, 4 + 2 * i));
  const out = [head];
  let at = head.length;
  tables.forEach((t, i) => {
    const p = 12 + 16 * i;
    t.tag.copy(head, p);
    [t.sum, at, t.data.length].forEach((v, k) => head.writeUInt32BE(v, p + 4 + 4 * k));
    const pad = Buffer.alloc((4 - (t.data.length % 4)) % 4);
    out.push(t.data, pad);
    at += t.data.length + pad.length;
  });
  return Buffer.concat(out);
}

const FACES = { sans: ['next', 400], bold: ['next', 700], mono: ['mono', 400], monoBold: ['mono', 700] };
mkdirSync('app/sheets/generated', { recursive: true });
mkdirSync('core/sheet/generated', { recursive: true });
const advances = {};
const pdf = new jsPDF();
for (const [face, [name, weight]] of Object.entries(FACES)) {
  const file = `node_modules/@fontsource/atkinson-hyperlegible-${name}/files/atkinson-hyperlegible-${name}-latin-${weight}-normal.woff`;
  const ttf = ttfOf(readFileSync(file));
  writeFileSync(`app/sheets/generated/${face}.ttf`, ttf);
  pdf.addFileToVFS(`${face}.ttf`, ttf.toString('base64'));
  pdf.addFont(`${face}.ttf`, face, 'normal');
  pdf.setFont(face, 'normal');
  const { codeMap } = pdf.getFont().metadata.cmap.unicode;
  const letters = Object.keys(codeMap)
    .map(Number)
    .filter((c) => c >= 32 && c < 0xfeff);
  advances[face] = Object.fromEntries(
    letters.map((c) => {
      const letter = String.fromCodePoint(c);
      return [letter, Math.round(pdf.getStringUnitWidth(letter) * 1000) / 1000];
    }),
  );
}
writeFileSync(
  'core/sheet/generated/advances.ts',
  `/** How wide each letter of the paper's faces is, em. Made by scripts/gen-fonts.mjs. */\nexport const ADVANCES: Readonly<Record<${Object.keys(
    FACES,
  )
    .map((f) => `'${f}'`)
    .join(' | ')}, Readonly<Record<string, number>>>> = ${JSON.stringify(advances)};\n`,
);
