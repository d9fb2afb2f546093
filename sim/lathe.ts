import { MM_PER_INCH } from '../core/quantity/units.ts';

/** A dial as it is on the iron. */
export interface Dial {
  readonly unit: 'mm' | 'in';
  readonly division: number;
  readonly perTurn: number;
  readonly reads: 'radius' | 'diameter';
}
/** What a hand sets: turns in the direction of winding, then the collar's figure. */
export interface CollarSetting {
  readonly turns: number;
  readonly value: number;
  readonly wound: 'in' | 'back';
}

/** Slide travel of one turn of a dial, mm. */
export const turnMm = (d: Dial): number =>
  d.division * d.perTurn * (d.unit === 'mm' ? 1 : MM_PER_INCH) * (d.reads === 'diameter' ? 0.5 : 1);

/** Travel from zero that a hand gives a slide which sets its dial so. */
export function travelOf(d: Dial, s: CollarSetting): number {
  const turn = turnMm(d);
  const collar = s.value * (d.unit === 'mm' ? 1 : MM_PER_INCH) * (d.reads === 'diameter' ? 0.5 : 1);
  const inTurn = s.wound === 'in' ? collar : (turn - collar) % turn;
  return s.turns * turn + inTurn;
}

/**
 * A slide with slack between screw and nut. It follows the screw at once in the direction in which it was last moved, and
 * only after the slack is taken up when that is turned round.
 */
export class Slide {
  private screw = 0;
  private at = 0;
  private readonly slackMm: number;
  constructor(slackMm: number) {
    this.slackMm = slackMm;
  }
  /** Turns the screw to a travel; + is into the metal. */
  to(mm: number): void {
    this.screw = mm;
    if (this.at < mm) this.at = mm;
    else if (this.at > mm + this.slackMm) this.at = mm + this.slackMm;
  }
  /** Draws well back, then comes to the reading from behind, so that the slack is taken up. */
  comeTo(mm: number): void {
    this.to(Math.min(this.screw, mm) - 2 * this.slackMm - 1);
    this.to(mm);
  }
  /** The dial is set to zero where the slide stands. */
  rezero(): void {
    this.at -= this.screw;
    this.screw = 0;
  }
  get mm(): number {
    return this.at;
  }
}
