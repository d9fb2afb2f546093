import { exact, isWhole, lcm, textOf, type Rational } from '../../quantity/rational.ts';

/** Chasing dial, leadscrew and the lead that is cut. */
export interface DialRequest {
  readonly leadscrew: Rational;
  /** The lead really cut by the train on the lathe, not the one wanted. */
  readonly lead: Rational;
  readonly dialTeeth: number;
  readonly marks: number;
}

/** Marks at which the half-nuts may be shut. */
export interface DialRule {
  /** Marks that are right on every turn of the dial; mark 0 is the one first used. Empty: keep the half-nuts shut. */
  readonly safeMarks: readonly number[];
  /** Carriage travel between closings, exact mm. */
  readonly travelMm: string;
  /** Turns of the dial after which the mark first used is right again. */
  readonly sameMarkAfterTurns: number;
}

/**
 * When the half-nuts may close: the travel since the first closing must be a whole number of leadscrew pitches and of
 * thread leads, so a multiple of their least common multiple. A mark k passes the pointer at (k/marks + turns) dial
 * circumferences of travel, and is safe when every one of those is such a multiple.
 * @example dialRule({ leadscrew: exact(6), lead: exact(2), dialTeeth: 16, marks: 8 }).safeMarks.length // 8; the leadscrew holds whole leads
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
  };
}
