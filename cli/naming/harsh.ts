import { includedDeg } from '../../core/form/flanks.ts';
import { CATALOGUE, familyOf, type StandardThread } from '../../core/standards/catalogue.ts';
import { basicSizes } from '../../core/form/sizes.ts';
import { formAt, specialForm, type ThreadForm } from '../../core/form/shape.ts';
import { inches } from '../../core/quantity/units.ts';
import type { Evidence, Part, Wear } from '../../core/evidence/evidence.ts';
import type { Dealt } from './score.ts';
import type { Dice } from '../../sim/random.ts';

const SPECIALS = 0.12;
const NUTS = 0.28;

/** Leaves that two usual sets hold, mm. */
const LEAVES = [
  ...[0.5, 0.6, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 5, 6],
  ...[40, 36, 32, 28, 26, 24, 22, 20, 19, 18, 16, 14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4.5, 4].map((t) => 25.4 / t),
];

let cumulative: readonly number[] | null = null;
/** A row as often as the trade meets it: family by its commonness, row within the family by its weight. */
function drawRow(d: Dice): StandardThread {
  if (!cumulative) {
    const totals = new Map<string, number>();
    for (const r of CATALOGUE) totals.set(r.family, (totals.get(r.family) ?? 0) + r.weight);
    let sum = 0;
    cumulative = CATALOGUE.map(
      (r) => (sum += (familyOf(r.family).commonness * r.weight) / (totals.get(r.family) ?? 1)),
    );
  }
  const at = d.next() * (cumulative.at(-1) ?? 1);
  const row = CATALOGUE[cumulative.findIndex((c) => c >= at)];
  if (!row) throw new RangeError('empty catalogue');
  return row;
}

interface Made {
  readonly form: ThreadForm;
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly group: string;
}

const TPI = [3, 3.5, 4, 4.5, 5, 5.5, 6, 6.5, 7, 7.5, 9, 10, 12, 14, 15, 17, 18, 22, 24, 26, 30, 52];
const MM = [0.5, 0.6, 0.75, 0.9, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8];
const HALVES = [24, 22.5, 25, 20, 26.25, 23.75, 18, 35, 40];

/** Flanks of no table, like ones, cut six tenths of the pitch deep. */
const likeFlanks = (pitchMm: number, halfDeg: number): ThreadForm =>
  specialForm(pitchMm, { leadingDeg: halfDeg, trailingDeg: halfDeg, depthMm: 0.6 * pitchMm });

/** What somebody once cut to suit: a usual form at an unusual size, or flanks of no table. */
function drawSpecial(d: Dice): Made {
  for (;;) {
    const inch = d.chance(0.55);
    const pitchMm = d.chance(0.85) === inch ? 25.4 / d.of(TPI) : d.of(MM);
    const half = d.chance(0.12);
    const majorMm = inch
      ? inches(d.whole(4, 48) / 16 + (half ? 1 / 32 : 0))
      : d.whole(5, 80) + (half || d.chance(0.1) ? 0.5 : 0);
    if (majorMm < 3.5 * pitchMm || majorMm > 30 * pitchMm) continue;
    const roll = d.next();
    const odd = roll > 0.7;
    const form = odd
      ? likeFlanks(pitchMm, d.of(HALVES))
      : formAt(roll < 0.28 ? 'iso60' : roll < 0.46 ? 'whitworth55' : roll < 0.6 ? 'acme29' : 'trapezoidal30', pitchMm);
    const listed = CATALOGUE.some((r) => {
      const f = formAt(familyOf(r.family).form, r.pitchMm);
      return (
        Math.abs(r.majorMm - majorMm) < 0.06 &&
        Math.abs(r.pitchMm / pitchMm - 1) < 0.003 &&
        Math.abs(f.leadingDeg - form.leadingDeg) < 0.3 &&
        f.taper === 0
      );
    });
    if (!listed) return { form, majorMm, pitchMm, group: odd ? 'special, odd angle' : 'special, usual form' };
  }
}

/** What someone says of a place, by what it is: right six times in ten, nothing three times, wrong once. */
function said(worn: boolean, d: Dice): Wear {
  const roll = d.next();
  if (roll < 0.3) return 'unknown';
  const wrong = roll > 0.9;
  return worn !== wrong ? 'worn' : 'unworn';
}

const rounded = (x: number, step: number): number => Math.round(x / step) * step;

/**
 * A bench that is less kind than the model: the caliper of the day reads off by the same amount all day, burrs stand on
 * crests, the words "worn" and "unworn" are often wrong, wear is heavier, counts are read to half a crest and one in thirty
 * is a crest out, leaves are called fitting that do not, a root is read over a blade too thick for it. It shares no number
 * and no shape of distribution with core/identify: what it measures is how far a stated probability can be trusted by
 * somebody whose habits nobody knows. All figures: common practice, no source.
 * @param d its dice: the same seed deals the same part
 */
export function harshPart(d: Dice): Dealt {
  const special = d.chance(SPECIALS);
  const row = special ? null : drawRow(d);
  const made: Made = row
    ? {
        form: formAt(familyOf(row.family).form, row.pitchMm),
        majorMm: row.majorMm,
        pitchMm: row.pitchMm,
        group: row.family,
      }
    : drawSpecial(d);
  const { form, pitchMm: p } = made;
  const sizes = basicSizes(form, made.majorMm);
  const part: Part = d.chance(NUTS) ? 'internal' : 'external';
  const motion = form.leadingDeg < 20;
  const starts = motion && d.chance(0.1) ? d.of([2, 2, 2, 3, 4]) : d.chance(0.008) ? 2 : 1;
  const evidence: Evidence[] = [];

  // a pipe's crest is met anywhere along its taper, past the gauge plane too
  const along = form.taper === 0 ? 0 : form.taper * d.between(-6, 2.5) * p;
  const micrometer = d.chance(0.3);
  const bias = micrometer ? d.gauss(0.004) : d.gauss(0.03);
  const claimed = micrometer ? 0.004 : 0.02;
  const scatter = micrometer ? 0.006 : 0.02;
  const step = micrometer ? 0.01 : d.of([0.01, 0.02, 0.0254, 0.05]);
  const length = (mm: number): number => rounded(mm + bias + d.gauss(scatter), step);
  // where in its tolerance the maker left it
  const made0 = d.between(0.02, 0.3) * Math.cbrt(p * p);
  const worn0 = d.chance(0.6);
  const places = d.whole(1, 3);
  for (let i = 0; i < places; i += 1) {
    const worn = worn0 && d.chance(0.7);
    const lost = worn ? Math.abs(d.gauss(0.14 + 0.07 * p)) : d.between(0, 0.03);
    const wear = said(worn, d);
    if (part === 'external') {
      const burr = d.chance(0.06) ? d.between(0.04, 0.25) : 0;
      evidence.push({
        quantity: 'majorDiameter',
        valueMm: length(made.majorMm + along - made0 - lost + burr),
        uncertaintyMm: claimed,
        wear,
      });
    } else {
      // drilled by what was at hand: from the screw's root to six tenths of the depth
      const depth = made.majorMm - sizes.minorInternalMm;
      const bore = motion
        ? sizes.minorInternalMm + made0
        : d.chance(0.6)
          ? sizes.minorInternalMm + d.between(0, 0.12) * depth
          : d.between(sizes.minorExternalMm, made.majorMm - 0.6 * depth);
      evidence.push({
        quantity: 'minorDiameter',
        valueMm: length(bore + along + 0.7 * lost),
        uncertaintyMm: claimed,
        wear,
      });
    }
  }
  if (part === 'external' && d.chance(0.25)) {
    const blade = d.chance(0.4) ? d.between(0, 0.14) * p : 0;
    evidence.push({
      quantity: 'minorDiameter',
      valueMm: length(sizes.minorExternalMm + along - d.between(0, 0.1) * p + blade),
      uncertaintyMm: claimed,
      wear: 'unknown',
    });
  }

  const fromFew = d.of([12.7, 20, 25.4, 25.4, 25.4, 50, 50.8, 101.6]);
  const spanMm = fromFew / p < 3 ? 101.6 : fromFew;
  const crests = spanMm / p + d.gauss(0.2) + (d.gauss(0.25) / p) * 0.5;
  const slip = d.chance(0.03) ? d.of([1, 1, -1, 0.5]) : 0;
  evidence.push({ quantity: 'crestCount', crests: Math.max(1, rounded(crests, 0.5) + slip), spanMm });

  if (d.chance(0.55)) {
    const tried = LEAVES.toSorted((a, b) => Math.abs(Math.log(a / p)) - Math.abs(Math.log(b / p)));
    const leafMm = d.chance(0.8) ? tried[0] : tried[1];
    if (leafMm !== undefined) {
      const out = (Math.abs(p - leafMm) / p) * 10;
      // one in twenty is held askew, or is rusty, and is called by what was hoped for
      const seen = d.chance(0.05) ? d.between(0, 0.2) : out + d.gauss(0.025);
      const fit = seen < d.between(0.04, 0.1) ? 'fits' : seen < 0.19 ? 'nearly' : 'no';
      evidence.push({ quantity: 'pitchLeaf', pitchMm: leafMm, fit });
    }
  }
  if (d.chance(0.85)) {
    const template = d.chance(0.5);
    const own = d.gauss(template ? 0.6 : 1.4);
    const valueDeg = rounded(includedDeg(form) + own + d.gauss(template ? 0.7 : 1.5), 1);
    evidence.push({ quantity: 'flankAngle', valueDeg: Math.max(0, valueDeg), uncertaintyDeg: template ? 1 : 2 });
  }
  if (d.chance(form.taper > 0 ? 0.5 : 0.15))
    evidence.push({ quantity: 'taper', ratio: d.chance(0.5) && form.taper === 0 ? 0 : form.taper + d.gauss(0.007) });
  if (d.chance(motion ? 0.6 : 0.3))
    evidence.push({ quantity: 'starts', count: d.chance(0.98) ? starts : starts === 1 ? 2 : 1 });
  return {
    truth: {
      majorMm: made.majorMm,
      pitchMm: p,
      leadingDeg: form.leadingDeg,
      trailingDeg: form.trailingDeg,
      taper: form.taper,
      starts,
      group: made.group,
      special,
    },
    part,
    evidence,
  };
}
