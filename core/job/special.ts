import { withoutNulls } from '../quantity/own.ts';
import { mirrored, type Flanks } from '../form/flanks.ts';
import type { Ranking } from '../identify/rank.ts';
import { INCH_MM, exact, rationalFromNumber, type Rational } from '../quantity/rational.ts';
import type { SpecialForm } from '../form/shape.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { pitchMmOf, specialThread, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { partOf } from './evidence.ts';
import type { Quantity } from '../evidence/evidence.ts';
import type { Has, Job, Reading } from './schema.ts';

/**
 * A measured pitch as something a lathe can be set for: a round number of threads per inch or of hundredths.
 * @example textOf(cutablePitch(3.63, 'mm', false)) // '363/100'
 */
export function cutablePitch(pitchMm: number, system: 'mm' | 'in', nominal: boolean): Rational {
  const quarters = (4 * 25.4) / pitchMm;
  const thousandths = 1000 * pitchMm;
  const ofInch = Math.abs(quarters - Math.round(quarters)) < 1e-6;
  if (ofInch && (system === 'in' || Math.abs(thousandths - Math.round(thousandths)) > 1e-6))
    return INCH_MM.div(exact(`${Math.round(quarters)}/4`));
  return rationalFromNumber(Number(pitchMm.toFixed(nominal ? 5 : 3)));
}

const DIAMETERS: readonly Reading['quantity'][] = ['majorDiameter', 'minorDiameter', 'pitchDiameter'];

/**
 * The reading of a quantity on the part itself to copy from; null when it was not read. Of a diameter or a depth the
 * unworn place before others, then the finest instrument, then the one that wear has taken least from: of a screw the
 * largest diameter, of a nut the smallest, of a depth the deepest. Of anything else the last.
 * @example leastWorn(demo('sluice'), 'majorDiameter').value // 37.8968; 1.492 in
 */
export function leastWorn(job: Has<'intake' | 'readings'>, quantity: Reading['quantity']): Reading | null {
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

/**
 * Depth as read, or half of what is between crest and root; null when neither is known.
 * @example depthRead(demo('sluice')) // 3.7
 */
export function depthRead(job: Has<'intake' | 'readings'>): number | null {
  const read = leastWorn(job, 'depth');
  if (read) return read.value;
  const [major, minor] = [leastWorn(job, 'majorDiameter'), leastWorn(job, 'minorDiameter')];
  return major && minor && major.value > minor.value ? (major.value - minor.value) / 2 : null;
}

/** What has to be read of a thread that no table lists before it can be copied, each with the readings that would do. */
const TO_COPY: readonly { readonly ask: Quantity; readonly or: readonly Quantity[] }[] = [
  { ask: 'majorDiameter', or: [] },
  { ask: 'crestCount', or: ['pitchLeaf'] },
  { ask: 'flankAngle', or: ['template', 'leadingFlank'] },
  { ask: 'depth', or: ['minorDiameter'] },
  { ask: 'crestFlat', or: ['crestRadius'] },
  { ask: 'rootFlat', or: ['rootRadius'] },
  { ask: 'starts', or: ['lead'] },
];

/**
 * The readings that a special still lacks, in the order in which they are taken; none when all are known.
 * @example lackingToCopy(demo('latch')) // ['flankAngle', 'depth', 'crestFlat', 'rootFlat', 'starts']
 */
export const lackingToCopy = (job: Has<'intake' | 'readings'>): readonly Quantity[] =>
  TO_COPY.filter(({ ask, or }) => ![ask, ...or].some((q) => leastWorn(job, q) !== null)).map((l) => l.ask);

/** Both flanks by what they face, as read: leading faces the free end. Null where they were not both read. */
function flanksRead(job: Has<'intake' | 'readings'>): Flanks | null {
  const [leading, trailing] = [leastWorn(job, 'leadingFlank'), leastWorn(job, 'trailingFlank')];
  return leading && trailing ? { leadingDeg: leading.value, trailingDeg: trailing.value } : null;
}

/**
 * The special that the readings speak for, as a thread that can be made. It is its readings: diameter, depth, flats, root
 * radius, flanks and taper as they were read; nominal figures only where nothing was read. Only the pitch is a round one
 * where it can be, for a lathe has to be set to it.
 * @example specialOf(ranking(demo('press')), demo('press')).designation // '49.8 mm x 8 mm 31/3'
 */
export function specialOf(ranking: Ranking, job: Job): ThreadSpec {
  const s = ranking.special;
  const deg = (x: number): number => (s.nominal ? x : Math.round(x * 4) / 4);
  const major = leastWorn(job, 'majorDiameter');
  const read = flanksRead(job);
  // like flanks of a usual form are its own; unlike ones are which faces what
  const flanks =
    read && read.leadingDeg !== read.trailingDeg
      ? read
      : s.leadingDeg === s.trailingDeg
        ? deg(2 * s.leadingDeg)
        : { leadingDeg: deg(s.leadingDeg), trailingDeg: deg(s.trailingDeg) };
  const given = {
    // a picture is no surer than hundredths, and nobody chose a unit for it
    majorMm: major
      ? Number(major.value.toFixed(major.picture === undefined ? 4 : 2))
      : s.nominal
        ? s.majorMm
        : Number(s.majorMm.toFixed(2)),
    sizeSystem: major?.picture === undefined ? s.sizeSystem : 'mm',
    pitch: cutablePitch(s.pitchMm, s.sizeSystem, s.nominal),
    flanks,
    starts: s.starts,
    leftHand: (leastWorn(job, 'hand')?.value ?? 1) < 0,
  };
  const depthMm = depthRead(job);
  const over = (q: Reading['quantity']): number | null => {
    const value = leastWorn(job, q)?.value ?? null;
    return value === 0 ? null : value;
  };
  const crestFlatMm = over('crestFlat');
  const rootFlatMm = over('rootFlat');
  const rootRadiusMm = over('rootRadius');
  const taper = over('taper');
  const measured = {
    ...(depthMm === null ? {} : { depthMm }),
    // a flat as wide as half the pitch or more leaves no thread: then it is not this form's
    ...(crestFlatMm === null || crestFlatMm >= s.pitchMm / 2 ? {} : { crestFlatMm }),
    ...(rootFlatMm === null || rootFlatMm >= s.pitchMm / 2 ? {} : { rootFlatMm }),
    ...(rootRadiusMm === null ? {} : { rootRadiusMm }),
    ...(taper === null ? {} : { taper }),
  };
  return specialThread(Object.keys(measured).length === 0 ? given : { ...given, measured });
}

/**
 * A published form of unlike flanks as it stands on this part: which of them faces the free end is what was read, where
 * both were. The table's own way round else.
 * @example oriented(thread('M30x2'), demo('pump')).designation // 'M30x2'
 */
export function oriented(thread: ThreadSpec, job: Job): ThreadSpec {
  const read = flanksRead(job);
  if (thread.form === 'special' || !read) return thread;
  const form = threadFormOf(thread);
  const off = (f: Flanks): number =>
    Math.abs(read.leadingDeg - f.leadingDeg) + Math.abs(read.trailingDeg - f.trailingDeg);
  return off(mirrored(form)) < off(form) ? { ...thread, flipped: true } : thread;
}

/**
 * The likeliest thread: a published row, or the special when that is likelier.
 * @example likeliest(ranking(demo('pump')), demo('pump')).designation // 'M30x2'
 */
export function likeliest(ranking: Ranking, job: Job): ThreadSpec | null {
  const best = ranking.candidates[0];
  if (best && best.probability >= ranking.special.probability) return best.thread;
  return ranking.special.majorMm > 0 ? specialOf(ranking, job) : null;
}

/** Dimensions of a special that somebody gives; null takes one away. */
export interface Dimensions {
  readonly majorMm?: number;
  readonly depthMm?: number | null;
  readonly crestFlatMm?: number | null;
  readonly rootFlatMm?: number | null;
  readonly rootRadiusMm?: number | null;
  readonly leadingDeg?: number;
  readonly trailingDeg?: number;
  readonly taper?: number | null;
}

/**
 * A special with some of its dimensions changed; a usual form becomes one of its own as soon as it departs from it.
 * @example value(withDimensions(thread('M30x2'), {})).designation // 'M30x2'
 */
export function withDimensions(thread: ThreadSpec, d: Dimensions): Outcome<ThreadSpec> {
  const form = threadFormOf(thread);
  const { majorMm, ...own } = d;
  const next: ThreadSpec = majorMm === undefined ? thread : { ...thread, majorMm };
  if (Object.keys(own).length === 0) return good(next);
  const { leadingDeg, trailingDeg } = form;
  const special: SpecialForm = { leadingDeg, trailingDeg, ...withoutNulls({ ...thread.special, ...own }) };
  const pitchMm = pitchMmOf(thread);
  if (!((special.crestFlatMm ?? 0) < pitchMm / 2 && (special.rootFlatMm ?? 0) < pitchMm / 2))
    return bad('crestFlatMm', 'flat-leaves-no-thread', { halfPitchMm: pitchMm / 2 });
  if (special.depthMm !== undefined && special.depthMm >= next.majorMm / 2)
    return bad('depthMm', 'depth-to-axis', { radiusMm: next.majorMm / 2 });
  return good({ ...next, form: 'special', special });
}
