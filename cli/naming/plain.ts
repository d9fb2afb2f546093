import { includedDeg } from '../../core/form/flanks.ts';
import type { Evidence, Part, Wear } from '../../core/evidence/evidence.ts';
import { formAt } from '../../core/form/shape.ts';
import { expectationOf, type Expectation } from '../../core/reading/expectation.ts';
import { hypotheses, SPECIAL_PRIOR, startsPrior } from '../../core/identify/hypotheses.ts';

/** Numbers in [0, 1), from outside: the same seed gives the same parts. */
export type Random = () => number;

/** One worn part as it comes to the bench: what it really is, and what was read off it. */
export interface SimulatedPart {
  readonly truth: Expectation & {
    readonly starts: number;
    readonly special: boolean;
    readonly name: string;
    readonly group: string;
  };
  readonly part: Part;
  readonly evidence: readonly Evidence[];
}

const normal = (r: Random): number => Math.sqrt(-2 * Math.log(1 - r())) * Math.cos(2 * Math.PI * r());
const pick = <T>(list: readonly T[], r: Random): T => list[Math.floor(r() * list.length)] as T;
/** Wear of a worn place: gamma of shape 2, which starts at nothing and has a tail; not the exponential of the model. */
const wearMm = (mean: number, r: Random): number => (-mean / 2) * (Math.log(1 - r()) + Math.log(1 - r()));

let cumulative: { readonly upTo: number; readonly index: number }[] | null = null;
function drawRow(r: Random) {
  const rows = hypotheses();
  if (!cumulative) {
    let sum = 0;
    cumulative = rows.map((h, index) => ({ upTo: (sum += h.commonness), index }));
  }
  const total = cumulative.at(-1)?.upTo ?? 1;
  const at = r() * total;
  const found = cumulative.find((c) => c.upTo >= at);
  const h = rows[found?.index ?? 0];
  if (!h) throw new RangeError('empty catalogue');
  return h;
}

/** A maker's own combination: a round size on a pitch that lathes cut, in a usual form, in no table. */
function drawSpecial(r: Random): Expectation {
  for (;;) {
    const inch = r() < 0.6;
    const major = inch ? (25.4 * (2 + Math.floor(r() * 46))) / 16 : 4 + Math.floor(r() * 70);
    const pitch =
      inch !== r() < 0.2
        ? 25.4 / pick([3.5, 4.5, 5.5, 6.5, 7.5, 9, 10, 11, 12, 14, 15, 18, 22, 24, 28], r)
        : pick([0.6, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 4, 5, 6], r);
    if (major < 3.5 * pitch || major > 40 * pitch) continue;
    const form = pick(['iso60', 'iso60', 'whitworth55', 'whitworth55', 'acme29', 'trapezoidal30'] as const, r);
    const taken = hypotheses().some(
      (h) =>
        Math.abs(h.majorMm - major) < 0.05 &&
        Math.abs(h.pitchMm / pitch - 1) < 0.002 &&
        Math.abs(h.leadingDeg - formAt(form, pitch).leadingDeg) < 0.1,
    );
    if (!taken) return expectationOf(formAt(form, pitch), major, pitch);
  }
}

/** Makes a part and reads it, with instruments and habits of a repair bench. */
export function simulatePart(r: Random): SimulatedPart {
  const special = r() < SPECIAL_PRIOR;
  const row = special ? null : drawRow(r);
  const h: Expectation = row ?? drawSpecial(r);
  let starts = 1;
  let roll = r();
  while (starts < 4 && (roll -= startsPrior(row ? row.row.family : 'Special', starts)) > 0) starts += 1;
  const part: Part = r() < 0.75 ? 'external' : 'internal';
  const evidence: Evidence[] = [];
  const sigma = r() < 0.3 ? 0.004 : 0.02;
  const tolerance = 0.2 * Math.cbrt(h.pitchMm ** 2) + 0.02;
  const made = tolerance * r();
  const places = 1 + Math.floor(r() * 3);
  for (let i = 0; i < places; i += 1) {
    const worn = r() < 0.5;
    const wear: Wear = r() < 0.4 ? 'unknown' : worn ? 'worn' : 'unworn';
    const lost = worn ? wearMm(0.06 + 0.04 * h.pitchMm, r) : wearMm(0.005, r);
    if (part === 'external')
      evidence.push({
        quantity: 'majorDiameter',
        valueMm: h.majorMm - made - lost + sigma * normal(r),
        uncertaintyMm: sigma,
        wear,
      });
    else
      evidence.push({
        quantity: 'minorDiameter',
        valueMm: h.minorInternalMm + made * 1.2 + lost + sigma * normal(r),
        uncertaintyMm: sigma,
        wear,
      });
  }
  const span = pick([12.7, 25.4, 25.4, 50.8, 20, 50], r);
  if (span / h.pitchMm >= 2) {
    // counted to the nearest half crest, a hundredth of a per cent lead error in the part
    const true_ = span / (h.pitchMm * (1 + 1e-4 * normal(r)));
    const slip = r() < 0.006 ? 1 : 0;
    const read = true_ + 0.16 * normal(r);
    evidence.push({ quantity: 'crestCount', crests: Math.max(1, Math.round(read * 4) / 4 + slip), spanMm: span });
  } else
    evidence.push({
      quantity: 'crestCount',
      crests: Math.max(1, Math.round((101.6 / h.pitchMm) * 4) / 4),
      spanMm: 101.6,
    });
  if (r() < 0.6) {
    const angleSigma = pick([2, 2, 1, 0.25], r);
    evidence.push({
      quantity: 'flankAngle',
      valueDeg: Math.max(0, Math.round((includedDeg(h) + angleSigma * normal(r)) * 2) / 2),
      uncertaintyDeg: angleSigma,
    });
  }
  if (r() < 0.3) evidence.push({ quantity: 'taper', ratio: h.taper + 0.005 * normal(r) });
  if (r() < 0.5) evidence.push({ quantity: 'starts', count: r() < 0.98 ? starts : starts === 1 ? 2 : 1 });
  return {
    truth: {
      ...h,
      // a taper's expectation is of its large end; the table's size is what it is known by
      majorMm: row ? row.row.majorMm : h.majorMm,
      starts,
      special,
      name: row ? row.row.designation : 'special',
      group: row ? row.row.family : 'special, usual form',
    },
    part,
    evidence,
  };
}

/** mulberry32: a small seeded generator, good enough to deal parts with. */
export const seeded = (seed: number): Random => {
  let a = seed | 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
};
