import { exact, isWhole, lcm, numberOf, shortText, textOf, type Rational } from '../quantity/rational.ts';

export interface DialRequest {
  readonly leadscrew: Rational;
  /** The lead really cut by the train on the lathe, not the one wanted. */
  readonly lead: Rational;
  readonly dialTeeth: number;
  readonly marks: number;
}

export interface DialRule {
  /** Marks that are right on every turn of the dial; mark 0 is the one first used. Empty: keep the half-nuts shut. */
  readonly safeMarks: readonly number[];
  /** Carriage travel between closings, exact mm. */
  readonly travelMm: string;
  /** Turns of the dial after which the mark first used is right again. */
  readonly sameMarkAfterTurns: number;
  readonly advice: string;
}

/**
 * When the half-nuts may close: the travel since the first closing must be a whole number of leadscrew pitches and of
 * thread leads, so a multiple of their least common multiple. A mark k passes the pointer at (k/marks + turns) dial
 * circumferences of travel, and is safe when every one of those is such a multiple.
 */
export function dialRule({ leadscrew, lead, dialTeeth, marks }: DialRequest): DialRule {
  const travel = lcm(leadscrew, lead);
  const circumference = leadscrew.mul(BigInt(dialTeeth));
  const perTurn = circumference.div(travel);
  const sameMarkAfterTurns = Number(perTurn.d);
  const safeMarks = isWhole(perTurn)
    ? Array.from({ length: marks }, (_, k) => k).filter((k) => isWhole(perTurn.mul(exact(`${k}/${marks}`))))
    : [];
  return {
    safeMarks,
    travelMm: textOf(travel),
    sameMarkAfterTurns,
    advice: adviceFor(safeMarks, marks, sameMarkAfterTurns, travel),
  };
}

/** Beyond this many turns nobody counts reliably, and the carriage has run off the bed. */
const COUNTABLE_TURNS = 4;

function adviceFor(safe: readonly number[], marks: number, turns: number, travel: Rational): string {
  if (safe.length === marks) return 'Close the half-nuts on any mark.';
  if (safe.length > 1)
    return `Close the half-nuts only on ${safe.length} of the ${marks} marks: every ${ordinal(marks / safe.length)}, counting from the one first used.`;
  if (safe.length === 1) return 'Close the half-nuts only on the mark first used.';
  const keep = 'No mark is right on every turn: keep the half-nuts shut and reverse the spindle';
  if (turns <= COUNTABLE_TURNS)
    return `${keep}, or use the same mark and only every ${ordinal(turns)} turn of the dial (${shortText(travel, 3)} mm of travel).`;
  return `${keep}. The same place comes back only after ${Number(numberOf(travel).toFixed(2))} mm of travel.`;
}

function ordinal(n: number): string {
  const tens = n % 100;
  const suffix = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${suffix}`;
}
