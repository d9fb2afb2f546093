import { exact, numberOf, type Rational } from '../../quantity/rational.ts';
import { leadOfTrain, gearsLeft, type Geared } from '../train.ts';
import { turnsCheck } from './pitchError.ts';

/** More turns of the chuck than a person counts by hand without losing the place. Common practice, no source. */
export const MOST_TURNS = 20;

/** A train whose turns are to be counted by hand. */
export interface TurnsQuestion {
  readonly leadscrew: Rational;
  readonly fixedRatio: Rational;
  /** Gears owned; one owned twice is listed twice. */
  readonly gears: readonly number[];
  readonly train: Geared;
}

/** One gear put on for another, with which the key is at the top again all the same. */
interface KeySlip {
  readonly planned: number;
  readonly on: number;
  readonly role: 'driver' | 'driven';
  /** Turns of the leadscrew by then: what tells it from the right train. */
  readonly leadscrew: number;
}
/** Turns after which spindle and leadscrew meet again. */
export interface TurnsProof {
  /** Turns of the chuck after which the leadscrew's key is at the top again, in lowest terms. */
  readonly spindle: number;
  readonly leadscrew: number;
  /** Few enough to be turned and counted by hand. */
  readonly countable: boolean;
  /** The slip nearest in lead that brings the key up as well; null: none of this set does. */
  readonly slip: KeySlip | null;
}

/**
 * What turning the chuck proves, and what it does not. The key alone is no proof: with another gear in one place the
 * leadscrew may also have made whole turns by then, another number of them. So the turns of the leadscrew are counted.
 * 63/40 x 20/50 on 8 tpi asks for 100 turns to 63; with a 60 for the 63 the key is up after the same 100, at 60.
 * @example turnsProof({ leadscrew: exact('127/40'), fixedRatio: exact('1'), gears: [20, 40, 50, 60, 63], train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } }).slip // { planned: 63, on: 60, role: 'driver', leadscrew: 60 }
 */
export function turnsProof({ leadscrew, fixedRatio, gears, train }: TurnsQuestion): TurnsProof {
  const of = (t: Geared): Rational => leadOfTrain(t, leadscrew, fixedRatio);
  const lead = of(train);
  const turns = turnsCheck(lead, leadscrew);
  const spare = [...new Set(gearsLeft(gears, [...train.drivers, ...train.driven]))];
  const planned = numberOf(lead);
  let slip: KeySlip | null = null;
  let nearest = Infinity;
  for (const role of ['driver', 'driven'] as const) {
    const list = role === 'driver' ? train.drivers : train.driven;
    list.forEach((teeth, i) => {
      for (const on of spare) {
        if (on === teeth) continue;
        const changed = list.with(i, on);
        const other = of(role === 'driver' ? { ...train, drivers: changed } : { ...train, driven: changed });
        const made = other.div(leadscrew).mul(exact(String(turns.spindle)));
        const off = Math.abs(numberOf(other) / planned - 1);
        if (made.d !== 1n || off === 0 || off >= nearest) continue;
        nearest = off;
        slip = { planned: teeth, on, role, leadscrew: Number(made.n) };
      }
    });
  }
  return { ...turns, countable: turns.spindle <= MOST_TURNS, slip };
}

/** A lead further off than this makes no thread that a nut of the right one goes on, ppm: over ten threads a tenth of the pitch. Common practice, no source. */
const HOPELESS_PPM = 10_000;

/**
 * The trains that are worth showing; where all are hopeless, the nearest by itself. @param trains each with its lead error, ppm
 * @example worthShowing([{ errorPpm: 0 }, { errorPpm: 500_000 }]).length // 1
 */
export function worthShowing<T extends { readonly errorPpm: number }>(trains: readonly T[]): readonly T[] {
  const useful = trains.filter((t) => Math.abs(t.errorPpm) <= HOPELESS_PPM);
  if (useful.length > 0 || trains.length === 0) return useful;
  return [trains.reduce((a, b) => (Math.abs(b.errorPpm) < Math.abs(a.errorPpm) ? b : a))];
}
/**
 * Whether the best that can be shown is no use for cutting.
 * @example hopeless(20_000) // true
 */
export const hopeless = (errorPpm: number): boolean => Math.abs(errorPpm) > HOPELESS_PPM;
