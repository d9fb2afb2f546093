import type { Ranking } from '../identify/rank.ts';
import { INCH_MM, exact, rationalFromNumber, type Rational } from '../quantity/rational.ts';
import { specialThread, type ThreadSpec } from '../standards/thread.ts';
import { partOf } from './evidence.ts';
import type { Job, Reading } from './schema.ts';

/** A measured pitch as something a lathe can be set for: a round number of threads per inch or of hundredths. */
export function cutablePitch(pitchMm: number, system: 'mm' | 'in', nominal: boolean): Rational {
  if (!nominal) return rationalFromNumber(Number(pitchMm.toFixed(3)));
  if (system === 'in' || Math.abs(pitchMm * 1000 - Math.round(pitchMm * 1000)) > 1e-6) {
    const tpi = 25.4 / pitchMm;
    if (Math.abs(tpi * 4 - Math.round(tpi * 4)) < 1e-6) return INCH_MM.div(exact(`${Math.round(tpi * 4)}/4`));
  }
  return rationalFromNumber(Number(pitchMm.toFixed(5)));
}

const DIAMETERS: readonly Reading['quantity'][] = ['majorDiameter', 'minorDiameter', 'pitchDiameter'];

/**
 * The reading of a quantity on the part itself to copy from; null when it was not read. Of a diameter or a depth the
 * unworn place before others, then the finest instrument, then the one that wear has taken least from: of a screw the
 * largest diameter, of a nut the smallest, of a depth the deepest. Of anything else the last.
 */
export function leastWorn(job: Job, quantity: Reading['quantity']): Reading | null {
  const list = job.readings.filter((r) => r.quantity === quantity && r.member === 'part');
  const diameter = DIAMETERS.includes(quantity);
  if (!diameter && quantity !== 'depth') return list.at(-1) ?? null;
  const outward = diameter && partOf(job) === 'internal' ? -1 : 1;
  return (
    list.toSorted(
      (a, b) =>
        Number(b.wear === 'unworn') - Number(a.wear === 'unworn') ||
        (a.uncertainty ?? Infinity) - (b.uncertainty ?? Infinity) ||
        outward * (b.value - a.value),
    )[0] ?? null
  );
}

/** Depth as read, or half of what is between crest and root; null when neither is known. */
function depthRead(job: Job): number | null {
  const read = leastWorn(job, 'depth');
  if (read) return read.value;
  const [major, minor] = [leastWorn(job, 'majorDiameter'), leastWorn(job, 'minorDiameter')];
  return major && minor && major.value > minor.value ? (major.value - minor.value) / 2 : null;
}

/**
 * The special that the readings speak for, as a thread that can be made: round sizes in a usual form where it is one, else
 * the sizes measured, with depth, crest flat, root radius and taper as they were read.
 */
export function specialOf(ranking: Ranking, job: Job): ThreadSpec {
  const s = ranking.special;
  const deg = (x: number): number => (s.nominal ? x : Math.round(x * 4) / 4);
  const given = {
    majorMm: s.nominal ? s.majorMm : Number(s.majorMm.toFixed(2)),
    sizeSystem: s.sizeSystem,
    pitch: cutablePitch(s.pitchMm, s.sizeSystem, s.nominal),
    flanks: s.leadingDeg === s.trailingDeg ? deg(2 * s.leadingDeg) : ([deg(s.leadingDeg), deg(s.trailingDeg)] as const),
    starts: s.starts,
    leftHand: (leastWorn(job, 'hand')?.value ?? 1) < 0,
  };
  if (s.nominal) return specialThread(given);
  const depthMm = depthRead(job);
  const crestFlatMm = leastWorn(job, 'crestFlat')?.value ?? null;
  const rootRadiusMm = leastWorn(job, 'rootRadius')?.value ?? null;
  const taper = leastWorn(job, 'taper')?.value ?? null;
  const measured = {
    ...(depthMm === null ? {} : { depthMm }),
    // a crest flat as wide as half the pitch or more leaves no thread: then it is not this form's
    ...(crestFlatMm === null || crestFlatMm === 0 || crestFlatMm >= s.pitchMm / 2 ? {} : { crestFlatMm }),
    ...(rootRadiusMm === null || rootRadiusMm === 0 ? {} : { rootRadiusMm }),
    ...(taper === null || taper === 0 ? {} : { taper }),
  };
  return specialThread(Object.keys(measured).length === 0 ? given : { ...given, measured });
}

/** The likeliest thread: a published row, or the special when that is likelier. */
export function likeliest(ranking: Ranking, job: Job): ThreadSpec | null {
  const best = ranking.candidates[0];
  if (best && best.probability >= ranking.special.probability) return best.thread;
  return ranking.special.majorMm > 0 ? specialOf(ranking, job) : null;
}
