import { line, text, type Shape, type Sheet } from './shapes.ts';

/** What stands on the sheet of a proof; the words come from outside. */
export interface ProofWords {
  readonly title: string;
  readonly verdict: string;
  readonly facts: readonly (readonly [string, string])[];
  /** Reasons, each with a mark before it. */
  readonly reasonsTitle: string;
  readonly reasons: readonly (readonly [mark: string, said: string])[];
  readonly readingsTitle: string;
  readonly readings: readonly (readonly [string, string, string])[];
  readonly caution: readonly string[];
  readonly signed: string;
}

const W = 210;
const EDGE = 16;
const ROW = 6;
/** Rows that have room on one sheet; of more, the last ones are kept. */
const REASONS = 12;
const READINGS = 16;

/** The sheet that goes with a part: what it was proved by, and that it is not a certificate. */
export function proofSheet(w: ProofWords): Sheet {
  const shapes: Shape[] = [text(EDGE, 24, w.title, 6, 'start', true), text(EDGE, 36, w.verdict, 5, 'start', true)];
  let y = 46;
  const rule = (): void => {
    shapes.push(
      line('frame', [
        { x: EDGE, y },
        { x: W - EDGE, y },
      ]),
    );
    y += ROW;
  };
  w.facts.forEach(([label, said], i) => {
    const x = EDGE + (i % 2) * 90;
    shapes.push(text(x, y, label, 2.6), text(x + 24, y, said, 3, 'start', true));
    if (i % 2 === 1 || i === w.facts.length - 1) y += ROW;
  });
  y += 2;
  rule();
  shapes.push(text(EDGE, y, w.reasonsTitle, 3.6, 'start', true));
  y += ROW + 1;
  for (const [mark, said] of w.reasons.slice(-REASONS)) {
    shapes.push(text(EDGE, y, mark, 3, 'start', true), text(EDGE + 24, y, said, 3));
    y += ROW;
  }
  y += 2;
  rule();
  shapes.push(text(EDGE, y, w.readingsTitle, 3.6, 'start', true));
  y += ROW + 1;
  for (const [what, read, made] of w.readings.slice(-READINGS)) {
    shapes.push(text(EDGE, y, what, 3), text(EDGE + 92, y, read, 3, 'start', true), text(EDGE + 130, y, made, 3));
    y += ROW;
  }
  shapes.push(
    ...w.caution.map((said, i) => text(EDGE, 266 + i * 5, said, 3, 'start', i === 0)),
    text(EDGE, 284, w.signed, 3),
  );
  return { title: w.title, widthMm: W, heightMm: 297, shapes };
}
