import { own } from '../../quantity/own.ts';
import { exact, numberOf, textOf, type Rational } from '../../quantity/rational.ts';
import { ratioOf, type Levers, type LeverSetting } from '../gearbox/levers.ts';
import { totalRatio, type Gearing } from '../train.ts';

interface PlannedTrain extends Gearing {
  readonly levers?: LeverSetting;
}

/** A scratch as it was counted, against the train that is believed to be on. */
export interface Scratch {
  readonly leadscrew: Rational;
  readonly fixedRatio: Rational;
  /** Gears owned; one owned twice is listed twice. */
  readonly gears: readonly number[];
  readonly levers: Levers;
  readonly planned: PlannedTrain;
  readonly measuredMm: number;
  readonly uncertaintyMm: number;
  /** Other fixed ratios that a tumbler could have left in, exact text. */
  readonly otherFixed?: readonly string[];
}

/** One slip at the end of the lathe. */
export type Mistake =
  | { readonly kind: 'gear'; readonly on: number; readonly planned: number; readonly role: 'driver' | 'driven' }
  | { readonly kind: 'interchange'; readonly a: number; readonly b: number }
  | { readonly kind: 'reversed' }
  | { readonly kind: 'lever'; readonly lever: string; readonly at: string; readonly planned: string }
  | { readonly kind: 'fixed'; readonly at: string; readonly planned: string };
type MistakeKind = Mistake['kind'];
/** A mistake that would have cut this scratch. */
export interface Explanation {
  readonly mistake: Mistake;
  /** What the train then cuts, exact text. */
  readonly leadMm: string;
}

/** How often a bench makes each slip, relative: a lever misread beats a wrong gear. Common practice, no source. */
const OFTEN: Readonly<Record<MistakeKind, number>> = { lever: 4, gear: 3, interchange: 2, reversed: 2, fixed: 1 };
/** Two readings of one standard deviation are within this much; further off is no explanation. */
const REACH = 2;
/** Fixed ratios that a tumbler or compound stud usually offers besides the planned one. */
const USUAL_FIXED = ['1', '1/2', '2'];

/** A slip, what is cut with it, and how easily it happens, relative. */
interface Slip {
  readonly mistake: Mistake;
  readonly cut: Rational;
  readonly ease: number;
}
/** Every single slip that cuts another lead than the one planned; empty where levers and setting do not go together. */
function singleSlips(s: Omit<Scratch, 'measuredMm' | 'uncertaintyMm'>): readonly Slip[] {
  const box = ratioOf(s.levers, s.planned.levers ?? {});
  if (box === null) return [];
  const base = s.leadscrew.mul(s.fixedRatio);
  const lead = (drivers: readonly number[], driven: readonly number[], ratio: Rational = box): Rational =>
    base.mul(ratio).mul(totalRatio(drivers, driven));
  const plannedLead = lead(s.planned.drivers, s.planned.driven);
  const found = new Map<string, Slip>();
  const offer = (mistake: Mistake, cut: Rational, ease = 1): void => {
    if (cut.equals(plannedLead)) return; // would have cut what was planned: no mistake to see
    const key = JSON.stringify(mistake);
    if (!found.has(key)) found.set(key, { mistake, cut, ease: OFTEN[mistake.kind] * ease });
  };

  const places = [
    ...s.planned.drivers.map((t, i) => ({ t, i, role: 'driver' as const })),
    ...s.planned.driven.map((t, i) => ({ t, i, role: 'driven' as const })),
  ];
  const withGear = (place: (typeof places)[number], teeth: number): [number[], number[]] => {
    const drivers = [...s.planned.drivers];
    const driven = [...s.planned.driven];
    (place.role === 'driver' ? drivers : driven)[place.i] = teeth;
    return [drivers, driven];
  };
  const spare = new Map<number, number>();
  for (const g of s.gears) spare.set(g, (spare.get(g) ?? 0) + 1);
  for (const p of places) spare.set(p.t, (spare.get(p.t) ?? 0) - 1);
  for (const place of places) {
    for (const [teeth, left] of spare) {
      if (left <= 0 || teeth === place.t) continue;
      // gears of nearly the same size are mistaken for each other most easily
      const ease = Math.abs(teeth - place.t) <= 5 ? 1.5 : 1;
      offer({ kind: 'gear', on: teeth, planned: place.t, role: place.role }, lead(...withGear(place, teeth)), ease);
    }
  }
  for (let i = 0; i < places.length; i += 1) {
    for (let j = i + 1; j < places.length; j += 1) {
      const [a, b] = [places[i], places[j]];
      if (!a || !b || a.role === b.role || a.t === b.t) continue;
      const drivers = [...s.planned.drivers];
      const driven = [...s.planned.driven];
      drivers[a.i] = b.t;
      driven[b.i] = a.t;
      offer({ kind: 'interchange', a: a.t, b: b.t }, lead(drivers, driven));
    }
  }
  offer({ kind: 'reversed' }, lead(s.planned.driven, s.planned.drivers));
  const setting = s.planned.levers ?? {};
  for (const [lever, position] of Object.entries(setting)) {
    const positions = Object.keys(own(s.levers, lever) ?? {});
    for (const other of positions) {
      if (other === position) continue;
      const ratio = ratioOf(s.levers, { ...setting, [lever]: other });
      const away = Math.abs(positions.indexOf(other) - positions.indexOf(position));
      if (ratio)
        offer(
          { kind: 'lever', lever, at: other, planned: position },
          lead(s.planned.drivers, s.planned.driven, ratio),
          away === 1 ? 1.5 : 1,
        );
    }
  }
  for (const fixed of s.otherFixed ?? USUAL_FIXED) {
    const ratio = exact(fixed);
    if (ratio.equals(s.fixedRatio)) continue;
    offer({ kind: 'fixed', at: fixed, planned: textOf(s.fixedRatio) }, plannedLead.div(s.fixedRatio).mul(ratio));
  }
  return [...found.values()];
}

/**
 * Every single mistake that explains a scratch: one gear swapped for another in the set, two gears interchanged, the train
 * turned end for end, one lever one or more places off, another fixed ratio. Within the uncertainty, likeliest first.
 * @example explainScratch({ leadscrew: exact('6'), fixedRatio: exact('1'), gears: [20, 40, 50, 60, 80], levers: {}, planned: { drivers: [20], driven: [60], gearbox: '1', levers: {} }, measuredMm: 2.4, uncertaintyMm: 0.01 })[0].mistake // { kind: 'gear', on: 50, planned: 60, role: 'driven' }
 */
export const explainScratch = (s: Scratch): readonly Explanation[] =>
  singleSlips(s)
    .map((slip) => ({ ...slip, off: Math.abs(numberOf(slip.cut) - s.measuredMm) }))
    .filter(({ off }) => off <= REACH * s.uncertaintyMm)
    .map(({ mistake, cut, ease, off }) => ({
      mistake,
      leadMm: textOf(cut),
      score: ease * Math.exp(-0.5 * (off / s.uncertaintyMm) ** 2),
    }))
    .sort((a, b) => b.score - a.score)
    .map(({ mistake, leadMm }) => ({ mistake, leadMm }));

/**
 * The single slips that cut a lead nearest to the one planned, nearest first, one for each lead: what a scratch has to be told from.
 * @param most how many
 * @example nearestSlips({ leadscrew: exact('6'), fixedRatio: exact('1'), gears: [20, 40, 50, 60, 80], levers: {}, planned: { drivers: [20], driven: [60], gearbox: '1', levers: {} } }, 1)[0] // { mistake: { kind: 'gear', on: 50, planned: 60, role: 'driven' }, leadMm: '12/5' }
 */
export function nearestSlips(s: Omit<Scratch, 'measuredMm' | 'uncertaintyMm'>, most: number): readonly Explanation[] {
  const planned = numberOf(
    s.leadscrew
      .mul(s.fixedRatio)
      .mul(totalRatio(s.planned.drivers, s.planned.driven))
      .mul(ratioOf(s.levers, s.planned.levers ?? {}) ?? exact('1')),
  );
  const byLead = new Map<string, Slip>();
  for (const slip of singleSlips(s)) {
    const key = textOf(slip.cut);
    if ((byLead.get(key)?.ease ?? 0) < slip.ease) byLead.set(key, slip);
  }
  return [...byLead.values()]
    .sort((a, b) => Math.abs(numberOf(a.cut) - planned) - Math.abs(numberOf(b.cut) - planned))
    .slice(0, most)
    .map(({ mistake, cut }) => ({ mistake, leadMm: textOf(cut) }));
}
