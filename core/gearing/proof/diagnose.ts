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
type Planned = Omit<Scratch, 'measuredMm' | 'uncertaintyMm'>;
/** A mistake before it is known whether it would have shown. */
type Tried = Slip | null;
const slip = (mistake: Mistake, cut: Rational, ease = 1): Slip => ({ mistake, cut, ease: OFTEN[mistake.kind] * ease });

/** Every single slip that cuts another lead than the one planned; empty where levers and setting do not go together. */
function singleSlips(s: Planned): readonly Slip[] {
  const box = ratioOf(s.levers, s.planned.levers ?? {});
  if (box === null) return [];
  const { drivers, driven } = s.planned;
  const base = s.leadscrew.mul(s.fixedRatio);
  const lead: LeadOf = (a, b, ratio = box) => base.mul(ratio).mul(totalRatio(a, b));
  const planned = lead(drivers, driven);
  const found = new Map<string, Slip>();
  for (const one of [
    ...wrongGears(s, lead),
    ...interchanged(s, lead),
    slip({ kind: 'reversed' }, lead(driven, drivers)),
    ...leversOff(s, lead),
    ...fixedOff(s, planned),
  ]) {
    // one that would have cut what was planned is no mistake to see
    if (one === null || one.cut.equals(planned)) continue;
    const key = JSON.stringify(one.mistake);
    if (!found.has(key)) found.set(key, one);
  }
  return [...found.values()];
}
type LeadOf = (drivers: readonly number[], driven: readonly number[], ratio?: Rational) => Rational;

/** Where a gear sits in a train. */
interface Place {
  readonly t: number;
  readonly i: number;
  readonly role: 'driver' | 'driven';
}
const placesOf = ({ planned }: Planned): readonly Place[] => [
  ...planned.drivers.map((t, i) => ({ t, i, role: 'driver' as const })),
  ...planned.driven.map((t, i) => ({ t, i, role: 'driven' as const })),
];
/** The train with other gears in some of its places. */
function withGears({ planned }: Planned, changes: readonly (readonly [Place, number])[]): [number[], number[]] {
  const drivers = [...planned.drivers];
  const driven = [...planned.driven];
  for (const [place, teeth] of changes) (place.role === 'driver' ? drivers : driven)[place.i] = teeth;
  return [drivers, driven];
}
/** One gear of the set on in place of another. */
function wrongGears(s: Planned, lead: LeadOf): readonly Tried[] {
  const places = placesOf(s);
  const spare = new Map<number, number>();
  for (const g of s.gears) spare.set(g, (spare.get(g) ?? 0) + 1);
  for (const p of places) spare.set(p.t, (spare.get(p.t) ?? 0) - 1);
  return places.flatMap((place) =>
    [...spare].map(([teeth, left]) =>
      left <= 0 || teeth === place.t
        ? null
        : slip(
            { kind: 'gear', on: teeth, planned: place.t, role: place.role },
            lead(...withGears(s, [[place, teeth]])),
            // gears of nearly the same size are mistaken for each other most easily
            Math.abs(teeth - place.t) <= 5 ? 1.5 : 1,
          ),
    ),
  );
}
/** A driver and a driven gear in each other's place. */
function interchanged(s: Planned, lead: LeadOf): readonly Tried[] {
  const places = placesOf(s);
  return places.flatMap((a, i) =>
    places.slice(i + 1).map((b) =>
      a.role === b.role || a.t === b.t
        ? null
        : slip(
            { kind: 'interchange', a: a.t, b: b.t },
            lead(
              ...withGears(s, [
                [a, b.t],
                [b, a.t],
              ]),
            ),
          ),
    ),
  );
}
/** One lever one or more places off. */
function leversOff(s: Planned, lead: LeadOf): readonly Tried[] {
  const setting = s.planned.levers ?? {};
  return Object.entries(setting).flatMap(([lever, position]) => {
    const positions = Object.keys(own(s.levers, lever) ?? {});
    return positions.map((other) => {
      const ratio = other === position ? null : ratioOf(s.levers, { ...setting, [lever]: other });
      const away = Math.abs(positions.indexOf(other) - positions.indexOf(position));
      return (
        ratio &&
        slip(
          { kind: 'lever', lever, at: other, planned: position },
          lead(s.planned.drivers, s.planned.driven, ratio),
          away === 1 ? 1.5 : 1,
        )
      );
    });
  });
}
/** Another fixed ratio left in. */
const fixedOff = (s: Planned, planned: Rational): readonly Tried[] =>
  (s.otherFixed ?? USUAL_FIXED).map((fixed) => {
    const ratio = exact(fixed);
    return ratio.equals(s.fixedRatio)
      ? null
      : slip({ kind: 'fixed', at: fixed, planned: textOf(s.fixedRatio) }, planned.div(s.fixedRatio).mul(ratio));
  });

/**
 * Every single mistake that explains a scratch: one gear swapped for another in the set, two gears interchanged, the train
 * turned end for end, one lever one or more places off, another fixed ratio. Within the uncertainty, likeliest first.
 * @example explainScratch({ leadscrew: exact('6'), fixedRatio: exact('1'), gears: [20, 40, 50, 60, 80], levers: {}, planned: { drivers: [20], driven: [60], gearbox: '1', levers: {} }, measuredMm: 2.4, uncertaintyMm: 0.01 })[0].mistake // { kind: 'gear', on: 50, planned: 60, role: 'driven' }
 */
export const explainScratch = (s: Scratch): readonly Explanation[] =>
  singleSlips(s)
    .map((one) => ({ ...one, off: Math.abs(numberOf(one.cut) - s.measuredMm) }))
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
export function nearestSlips(s: Planned, most: number): readonly Explanation[] {
  const box = ratioOf(s.levers, s.planned.levers ?? {}) ?? exact('1');
  const train = totalRatio(s.planned.drivers, s.planned.driven);
  const planned = numberOf(s.leadscrew.mul(s.fixedRatio).mul(train).mul(box));
  const byLead = new Map<string, Slip>();
  for (const one of singleSlips(s)) {
    const key = textOf(one.cut);
    if ((byLead.get(key)?.ease ?? 0) < one.ease) byLead.set(key, one);
  }
  return [...byLead.values()]
    .sort((a, b) => Math.abs(numberOf(a.cut) - planned) - Math.abs(numberOf(b.cut) - planned))
    .slice(0, most)
    .map(({ mistake, cut }) => ({ mistake, leadMm: textOf(cut) }));
}
