import { wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, lowest, tabled } from './paper.ts';
import { rule, say, type Shape } from './shapes.ts';

/** What stands on the sheet of a proof; the words come from outside. */
export interface ProofWords {
  readonly verdict: string;
  readonly facts: readonly (readonly [string, string])[];
  /** Reasons, each with a mark before it. */
  readonly reasonsTitle: string;
  readonly reasons: readonly (readonly [mark: string, said: string])[];
  readonly readingsTitle: string;
  readonly readings: readonly (readonly [string, string, string])[];
  readonly signed: string;
}

/**
 * The sheet that goes with a part: what it was proved by, on as many pages as that needs.
 * @example proofBodies({ verdict: '', facts: [], reasonsTitle: '', reasons: [], readingsTitle: '', readings: [], signed: '' }, 240).length // 1
 */
export function proofBodies(w: ProofWords, low: number): Shape[][] {
  const top: Shape[] = [say(0, BODY_TOP + 8, w.verdict, { pt: 17, bold: true })];
  let y = BODY_TOP + 16;
  w.facts.forEach(([label, said], i) => {
    const x = (i % 2) * 94;
    top.push(say(x, y, label, { pt: 8.5 }), say(x + 26, y, said, { pt: 10, bold: true }));
    if (i % 2 === 1 || i === w.facts.length - 1) y += 6;
  });
  const row = (cells: readonly (readonly [x: number, wide: number, said: string, bold: boolean])[]) => {
    const lines = cells.map(([, wide, said, bold]) => wrapped(said, 9.5, wide, { bold }));
    return {
      tall: 2.6 + Math.max(1, ...lines.map((l) => l.length)) * lineTall(9.5),
      shapes: (at: number) => [
        rule(0, at, BOX.w, at),
        ...cells.flatMap(([x, , , bold], c) =>
          (lines[c] ?? []).map((t, i) => say(x, at + 4.2 + i * lineTall(9.5), t, { pt: 9.5, bold })),
        ),
      ],
    };
  };
  const heading = (said: string) => ({
    tall: 11,
    shapes: (at: number) => [say(0, at + 7.6, said, { pt: 12, bold: true })],
  });
  const bodies = tabled(
    [
      heading(w.reasonsTitle),
      ...w.reasons.map(([mark, said]) =>
        row([
          [0, 22, mark, true],
          [25, BOX.w - 25, said, false],
        ]),
      ),
      heading(w.readingsTitle),
      ...w.readings.map(([what, when, made]) =>
        row([
          [0, 84, what, false],
          [87, 24, when, true],
          [114, BOX.w - 114, made, false],
        ]),
      ),
    ],
    { first: y, next: BODY_TOP + 2, low },
    () => [],
    0,
  );
  bodies[0]?.unshift(...top);
  const end = lowest(bodies.at(-1) ?? []) + 14;
  if (end > low) bodies.push([say(0, BODY_TOP + 14, w.signed, { pt: 10 })]);
  else bodies.at(-1)?.push(say(0, Math.min(low - 2, end), w.signed, { pt: 10 }));
  return bodies;
}
