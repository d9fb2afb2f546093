import { dialRule } from '../gearing/proof/index.ts';
import type { Lathe } from '../lathe/schema.ts';
import { smallerWay } from '../pickup/moves.ts';
import { exact, isWhole, numberOf, textOf, type Rational } from '../quantity/rational.ts';
import { deal } from './deal.ts';

/** The carriage is back at its start, the half-nuts are open, the dial turns: shut them where the tool falls into its groove. */
export interface HalfNutsRound {
  readonly leadMm: string;
  readonly leadscrewMm: string;
  readonly teeth: number;
  readonly marks: number;
  /** Mark on which they were shut for the first pass, from 0. */
  readonly first: number;
  /** Threads of the leadscrew that have passed since then. */
  readonly passed: number;
  readonly rpm: number;
  /** The lever takes so long, s. */
  readonly leverS: number;
  /** Marks that are right on every turn of the dial. */
  readonly safe: readonly number[];
  /** What it would be, shut now, is shown. */
  readonly help: boolean;
}

/** Where the half-nuts dropped in. */
export interface Shut {
  /** Threads of the leadscrew since the first pass at which the nuts drop in. */
  readonly threads: number;
  /** The mark at the index then; null: between two. */
  readonly mark: number | null;
  /** How far beside its groove the tool is then, in leads, the smaller way, exact. */
  readonly offLeads: string;
  readonly right: boolean;
}

const TPI = (n: string): string => textOf(exact('127/5').div(exact(n)));
/** Leads that are cut in shops, in both systems. Common practice, no source. */
const LEADS = [
  ...['8', '16', '12', '10', '20', '14', '11', '9', '7', '5', '13', '23/2', '9/2', '19'].map(TPI),
  ...['1', '3/2', '2', '3', '5/4', '7/4', '5/2', '7/2', '9/2', '4/5'],
];

/** How many of the marks are right: what makes a level hard. */
const share = (level: number, safe: number, marks: number): boolean => {
  const of = safe / marks;
  if (level === 1) return of >= 0.5;
  if (level === 2) return of >= 0.25 && of < 1;
  if (level === 3) return safe > 1 && of <= 0.5;
  if (level === 4) return safe === 1 || (safe > 0 && of <= 0.25);
  return safe <= 1;
};
const RPM = [0, 40, 64, 64, 102, 102];
/** A lever is through in about so long. Common practice, no source. */
const LEVER_S = 0.15;

/**
 * Null: this lathe has no chasing dial. @param leadMm of a thread that was chosen, exact; null: one as hard as the level
 * @example halfNutsRound(1, 1, shop.lathes[0]).marks // 8
 */
export function halfNutsRound(
  seed: number,
  level: number,
  lathe: Lathe,
  leadMm: string | null = null,
): HalfNutsRound | null {
  const { dial } = lathe;
  if (!dial) return null;
  const d = deal(seed);
  const leadscrew = exact(lathe.leadscrew);
  const dealt = (leadMm === null ? LEADS : [leadMm]).map((lead) => ({
    lead,
    safe: dialRule({ leadscrew, lead: exact(lead), dialTeeth: dial.teeth, marks: dial.marks }).safeMarks,
  }));
  const wanted = dealt.filter(({ safe }) => share(level, safe.length, dial.marks));
  // no lead of this lathe is as hard as that: the nearest there is
  const { lead, safe } = d.of(wanted.length > 0 ? wanted : dealt);
  const rpm = RPM[level] ?? 64;
  return {
    leadMm: lead,
    leadscrewMm: lathe.leadscrew,
    teeth: dial.teeth,
    marks: dial.marks,
    first: d.whole(0, dial.marks - 1),
    passed: d.whole(dial.teeth, 4 * dial.teeth) + d.between(0.1, 0.9),
    rpm: lathe.speeds.find((s) => s >= rpm) ?? rpm,
    leverS: LEVER_S,
    safe,
    help: level <= 2,
  };
}

/**
 * Threads of the leadscrew that pass in a second, the half-nuts open and the carriage at rest.
 * @example threadsPerS({ rpm: 60, leadMm: '2', leadscrewMm: '4' }) // 0.5; 2 mm a second of a thread every 4 mm
 */
export const threadsPerS = (r: HalfNutsRound): number =>
  (r.rpm / 60) * numberOf(exact(r.leadMm).div(exact(r.leadscrewMm)));

/**
 * Reading of the dial, in marks from 0, where so many threads have passed.
 * @example markAt({ teeth: 16, marks: 8, first: 0 }, 2) // 1
 */
export function markAt(r: HalfNutsRound, threads: number): number {
  const at = r.first + (threads * r.marks) / r.teeth;
  return ((at % r.marks) + r.marks) % r.marks;
}

/**
 * The lever thrown with so many threads passed: the nuts drop in at the next whole thread, and the spindle has then turned those
 * threads over the lead in leads; what is not whole of that is how far the tool is beside its groove.
 * @example shutAt({ ...halfNutsRound(1, 1, shop.lathes[0]), leverS: 0, leadMm: '4', leadscrewMm: '6', teeth: 16, marks: 8, first: 0 }, 0.5).offLeads // '1/2'; 6 mm on are one and a half leads
 */
export function shutAt(r: HalfNutsRound, passed: number): Shut {
  const threads = Math.ceil(passed + r.leverS * threadsPerS(r) - 1e-9);
  const leads: Rational = exact(String(threads)).mul(exact(r.leadscrewMm)).div(exact(r.leadMm));
  const marks = exact(`${threads * r.marks}/${r.teeth}`);
  return {
    threads,
    mark: isWhole(marks) ? (((r.first + numberOf(marks)) % r.marks) + r.marks) % r.marks : null,
    offLeads: textOf(smallerWay(leads, exact('1'))),
    right: isWhole(leads),
  };
}

/** What is missed: shut beside the groove, shut where none is right, or not shut although a mark is right. Empty: right. */
export type HalfNutsMissed = '' | 'wrong-mark' | 'between-marks' | 'none-is-right' | 'a-mark-is-right';
/**
 * What was missed; empty: right.
 * @example gradeShut({ safe: [] }, 'kept') // ''; where no mark is safe, keeping them shut is right
 */
export function gradeShut(r: HalfNutsRound, shut: Shut | 'kept'): HalfNutsMissed {
  if (shut === 'kept') return r.safe.length === 0 ? '' : 'a-mark-is-right';
  if (shut.right) return '';
  if (r.safe.length === 0) return 'none-is-right';
  return shut.mark === null ? 'between-marks' : 'wrong-mark';
}
