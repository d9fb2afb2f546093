import { ADVANCES } from './generated/advances.ts';
import { CAPITAL, pt } from './shapes.ts';

/** How a text is set. */
export interface Set {
  readonly bold?: boolean;
  readonly mono?: boolean;
}
/** A letter that the face has not got takes about this much of its size: it is drawn in another. */
const OTHER_EM = 0.62;

const faceOf = ({ bold, mono }: Set): keyof typeof ADVANCES =>
  mono ? (bold ? 'monoBold' : 'mono') : bold ? 'bold' : 'sans';

/**
 * How wide a text is when its capitals are `mm` high, mm.
 * @example widthOf('', 10) // 0
 */
export function widthOf(text: string, mm: number, set: Set = {}): number {
  const face = ADVANCES[faceOf(set)];
  const em = mm / CAPITAL;
  return [...text].reduce((w, c) => w + (face[c] ?? OTHER_EM) * em, 0);
}

/**
 * The lines of a text that may be no wider than `width` mm; a word longer than that is broken where it has to be.
 * @example wrapped('one two', 10, 1000) // ['one two']
 */
export function wrapped(text: string, points: number, width: number, set: Set = {}): string[] {
  const wide = (t: string): boolean => widthOf(t, pt(points), set) > width;
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter((w) => w !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (!wide(longer)) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = '';
    for (const c of word) {
      if (line !== '' && wide(line + c)) {
        lines.push(line);
        line = '';
      }
      line += c;
    }
  }
  return line === '' ? lines : [...lines, line];
}

/**
 * The largest of a text's sizes, in points, at which it is no wider than `width` mm; the least one where none is.
 * @example fitted('one', 1000, [20, 10]) // 20
 */
export const fitted = (text: string, width: number, sizes: readonly [number, ...number[]], set: Set = {}): number =>
  sizes.find((points) => widthOf(text, pt(points), set) <= width) ?? Math.min(...sizes);

/**
 * A text cut to a width, so that what stands beside it can be read; what is cut off ends in dots.
 * @example cut('a very long name', 10, 10) // 'a ver\u2026'
 */
export function cut(text: string, points: number, width: number, set: Set = {}): string {
  if (widthOf(text, pt(points), set) <= width) return text;
  const letters = [...text];
  while (letters.length > 0 && widthOf(`${letters.join('')}\u2026`, pt(points), set) > width) letters.pop();
  return `${letters.join('').trimEnd()}\u2026`;
}
