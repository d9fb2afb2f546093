import { isMetricPitch, isTpiPitch, tpiOf } from '../../quantity/pitch.ts';
import { exact, numberOf, textOf, type Rational } from '../../quantity/rational.ts';
import type { Levers, LeverSetting } from './levers.ts';
import { totalRatio, type Gearing } from '../train.ts';

/** A row of the gearbox's chart: its setting, and the pitch that it says. */
export interface ChartRow extends ChartQuestion {
  /** Pitch as printed, exact mm. */
  readonly lead: Rational;
}

/** A setting of the levers with the gears that are on. */
export interface ChartQuestion extends Gearing {
  readonly levers: LeverSetting;
}

interface Conflict {
  /** Index of the row in what was given. */
  readonly row: number;
  readonly printedMm: number;
  readonly expectedMm: number;
}

/** Ratios that explain a chart, and rows that cannot be right. */
export interface ChartReading {
  /** Ratio of every position that the rows tie to the rest; the first position of each lever but one counts as 1. */
  readonly levers: Levers;
  readonly answers: readonly (Rational | null)[];
  readonly conflicts: readonly Conflict[];
  /** Positions that the rows do not settle, each with the row that would. */
  readonly open: readonly OpenPosition[];
}

/** A position whose ratio is not known for certain. */
export interface OpenPosition {
  readonly lever: string;
  readonly position: string;
  /** Nothing ties it to the rest; or only pitches of the other system do, which are printed rounded. */
  readonly why: 'untied' | 'rounded';
  /** One more row at this setting, in the leadscrew's own system, would settle it. */
  readonly settledBy: LeverSetting;
}

/** A printed figure agrees when it is within this of what the other rows say: printed pitches of the other system are rounded. */
const PRINTED_SLACK = 0.0015;

/** True when a pitch belongs to the leadscrew's own system: threads per inch in eighths, or hundredths of a millimetre. */
const isNative = (lead: Rational, leadscrew: Rational): boolean =>
  isMetricPitch(leadscrew) ? isMetricPitch(lead) : isTpiPitch(lead);

/** True when the printed figure is the pitch itself: of the leadscrew's own system, or turned into the other by 127 teeth. */
const isExact = (row: Pick<ChartRow, 'lead' | 'drivers' | 'driven'>, leadscrew: Rational): boolean =>
  isNative(row.lead, leadscrew) || [...row.drivers, ...row.driven].some((teeth) => teeth % 127 === 0);

const TWENTIETH = exact('1/20');

/**
 * The pitch a row means. An inch pitch printed as a rounded decimal of millimetres (2.82 for 9 tpi) is that inch pitch; a
 * decimal that is a metric pitch (a multiple of 0.05 mm) is taken as it stands.
 */
function meant(lead: Rational, leadscrew: Rational): Rational {
  if (isMetricPitch(leadscrew) || isTpiPitch(lead) || lead.div(TWENTIETH).d === 1n) return lead;
  const places = [0, 1, 2, 3, 4, 5].find((k) => lead.mul(10n ** BigInt(k)).d === 1n);
  if (places === undefined) return lead;
  const tpi = exact(`${Math.round(numberOf(tpiOf(lead)) * 4)}/4`);
  if (numberOf(tpi) <= 0) return lead;
  const whole = tpiOf(tpi); // the same rule turns threads per inch back into a pitch
  return Math.abs(numberOf(whole) - numberOf(lead)) <= 0.5 * 10 ** -places ? whole : lead;
}

/** Position of a lever, as a node: "cone 1". */
const node = (lever: string, position: string): string => `${lever}\u0000${position}`;

/**
 * Ratio that a row asks of the gearbox: lead / (leadscrew x fixed x train). Exact.
 */
const asked = (row: Gearing & Pick<ChartRow, 'lead'>, base: Rational): Rational =>
  row.lead.div(base).div(totalRatio(row.drivers, row.driven));

/**
 * Infers a gearbox of several levers from chart rows. A row says that the product of its levers' ratios is a known number;
 * in logarithms these are linear equations, solved exactly as products: each row in turn is reduced by what is known, and
 * gives the ratio of one position still unknown. Rows that then disagree are conflicts. The split between levers is free
 * up to a factor, so the first position met of every lever after the first is taken as 1.
 *
 * A wrong row must not poison the rest: the set of rows that the most others agree with is taken as right, so each row is
 * tried as misprint in turn and the reading with the fewest conflicts is kept.
 * @example readChart(exact('4'), exact('1'), [{ levers: { cone: '1' }, drivers: [], driven: [], lead: exact('2') }], [{ levers: { cone: '1' }, drivers: [60], driven: [30] }]).answers.map(textOf) // ['4']; the lever halves, the gears double
 */
export function readChart(
  leadscrew: Rational,
  fixedRatio: Rational,
  rows: readonly ChartRow[],
  ask: readonly ChartQuestion[],
): ChartReading {
  const base = leadscrew.mul(fixedRatio);
  // rows of the leadscrew's own system first: those of the other are often rounded, and must not set the exact ratios
  const usable = rows
    .map((r) => ({ ...r, lead: meant(r.lead, leadscrew) }))
    .map((r, i) => ({ ...r, index: i, ratio: asked(r, base) }))
    .sort((a, b) => Number(isNative(b.lead, leadscrew)) - Number(isNative(a.lead, leadscrew)) || a.index - b.index);
  let best = solve(usable, usable);
  if (best.conflicts.length > 0) {
    for (const left of usable) {
      const tried = solve(
        usable.filter((r) => r !== left),
        usable,
      );
      const determined = (s: Solved): number => s.equations.length;
      if (tried.conflicts.length < best.conflicts.length && determined(tried) >= determined(best) - 1) best = tried;
      if (best.conflicts.length <= 1) break;
    }
  }
  return {
    levers: leversOf(rows, best),
    answers: ask.map((q) => {
      const product = productOf(q.levers, best);
      return product === null ? null : base.mul(totalRatio(q.drivers, q.driven)).mul(product);
    }),
    conflicts: best.conflicts.map(({ index, expected }) => {
      const row = rows[index];
      const train = row ? totalRatio(row.drivers, row.driven) : exact(1);
      return {
        row: index,
        printedMm: row ? numberOf(row.lead) : 0,
        expectedMm: Number(numberOf(base.mul(train).mul(expected)).toFixed(6)),
      };
    }),
    open: openOf(usable, best, leadscrew),
  };
}

/** Every position that stood in no row of the leadscrew's own system, or that no row ties to the first one given. */
function openOf(
  rows: readonly (RowEquation & ChartRow)[],
  solved: Solved,
  leadscrew: Rational,
): readonly OpenPosition[] {
  const known = rows.find((r) => productOf(r.levers, solved) !== null)?.levers;
  if (!known) return [];
  const wrong = new Set(solved.conflicts.map((c) => c.index));
  const right = rows.filter((r) => !wrong.has(r.index));
  const out: OpenPosition[] = [];
  const seen = new Set<string>();
  for (const { levers } of rows)
    for (const [lever, position] of Object.entries(levers)) {
      if (seen.has(node(lever, position))) continue;
      seen.add(node(lever, position));
      const settledBy = { ...known, [lever]: position };
      const among = right.filter((r) => r.levers[lever] === position);
      if (productOf(settledBy, solved) === null) out.push({ lever, position, why: 'untied', settledBy });
      else if (!among.some((r) => isExact(r, leadscrew))) out.push({ lever, position, why: 'rounded', settledBy });
    }
  return out;
}

/** One equation in reduced form: position `pivot` = ratio x product of others^power. */
interface Equation {
  readonly pivot: string;
  readonly powers: ReadonlyMap<string, number>;
  readonly ratio: Rational;
}
interface Solved {
  readonly equations: readonly Equation[];
  readonly conflicts: readonly { readonly index: number; readonly expected: Rational }[];
}
interface RowEquation {
  readonly levers: LeverSetting;
  readonly ratio: Rational;
  readonly index: number;
}

function termsOf(setting: LeverSetting): Map<string, number> {
  return new Map(Object.entries(setting).map(([l, p]) => [node(l, p), 1]));
}

/** Substitutes what is known into a product of positions; what is left is unknown. */
function reduce(
  terms: ReadonlyMap<string, number>,
  equations: readonly Equation[],
): { powers: Map<string, number>; ratio: Rational } {
  const powers = new Map(terms);
  let ratio = exact(1);
  for (const e of equations) {
    const k = powers.get(e.pivot);
    if (k === undefined || k === 0) continue;
    powers.delete(e.pivot);
    ratio = ratio.mul(power(e.ratio, k));
    for (const [n, p] of e.powers) {
      const sum = (powers.get(n) ?? 0) + k * p;
      if (sum === 0) powers.delete(n);
      else powers.set(n, sum);
    }
  }
  return { powers, ratio };
}

const power = (r: Rational, k: number): Rational => {
  let out = exact(1);
  for (let i = 0; i < Math.abs(k); i += 1) out = k > 0 ? out.mul(r) : out.div(r);
  return out;
};

function solve(rows: readonly RowEquation[], check: readonly RowEquation[]): Solved {
  const equations: Equation[] = [];
  for (const row of rows) {
    const { powers, ratio } = reduce(termsOf(row.levers), equations);
    const made = solvedFor(powers, row.ratio.div(ratio));
    if (!made) continue;
    const { pivot } = made;
    for (let i = 0; i < equations.length; i += 1) {
      const e = equations[i];
      if (!e?.powers.has(pivot)) continue;
      const again = reduce(e.powers, [made]);
      equations[i] = { pivot: e.pivot, powers: again.powers, ratio: e.ratio.mul(again.ratio) };
    }
    equations.push(made);
  }
  const conflicts = check.flatMap((row) => {
    const { powers, ratio } = reduce(termsOf(row.levers), equations);
    if (powers.size > 0) return [];
    return Math.abs(numberOf(ratio.div(row.ratio)) - 1) <= PRINTED_SLACK ? [] : [{ index: row.index, expected: ratio }];
  });
  return { equations, conflicts };
}

/**
 * An equation solved for one of its positions that stands in it once. Where every position stands in it twice (or three
 * times), it is one of squares (cubes): with an exact root it says the same of the positions themselves.
 */
function solvedFor(powers: ReadonlyMap<string, number>, value: Rational): Equation | null {
  const common = [...powers.values()].reduce((g, k) => gcd(g, Math.abs(k)), 0);
  if (common > 1) {
    const root = exactRoot(value, common);
    return root && solvedFor(new Map([...powers].map(([n, k]) => [n, k / common])), root);
  }
  const once = [...powers].find(([, k]) => Math.abs(k) === 1);
  if (!once) return null;
  const [pivot, k] = once;
  const rest = new Map([...powers].filter(([n]) => n !== pivot).map(([n, p]) => [n, -p * k]));
  return { pivot, powers: rest, ratio: power(value, k) };
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The k-th root where it is a fraction; null where it is none. */
function exactRoot(r: Rational, k: number): Rational | null {
  const of = (n: bigint): bigint | null => {
    const guess = BigInt(Math.round(Number(n) ** (1 / k)));
    return [guess - 1n, guess, guess + 1n].find((g) => g >= 0n && g ** BigInt(k) === n) ?? null;
  };
  const [n, d] = [of(r.n), of(r.d)];
  return n === null || d === null || d === 0n ? null : exact(`${n}/${d}`);
}

function productOf(setting: LeverSetting, solved: Solved): Rational | null {
  const { powers, ratio } = reduce(termsOf(setting), solved.equations);
  return powers.size === 0 ? ratio : null;
}

/** Ratios for the levers, with the free factors set so that the first position met of each later lever is 1. */
function leversOf(rows: readonly ChartRow[], solved: Solved): Levers {
  const out: Record<string, Record<string, string>> = {};
  for (const row of rows) {
    for (const [lever, position] of Object.entries(row.levers)) {
      const list = (out[lever] ??= {});
      const { ratio } = reduce(new Map([[node(lever, position), 1]]), solved.equations);
      // unknowns left over are the free factors: taken as 1 here, shared out below
      list[position] ??= textOf(ratio);
    }
  }
  // each lever's first position counts as 1; the last lever carries the rest
  const names = Object.keys(out);
  const last = out[names.at(-1) ?? ''];
  for (const name of names.slice(0, -1)) {
    const list = out[name] ?? {};
    const factor = exact(Object.values(list)[0] ?? '1');
    for (const p of Object.keys(list)) list[p] = textOf(exact(list[p] ?? '1').div(factor));
    for (const p of Object.keys(last ?? {})) if (last) last[p] = textOf(exact(last[p] ?? '1').mul(factor));
  }
  return out;
}

/**
 * The levers with only the positions that the rows tie to one another: what is not known is not taken.
 * @example tiedLevers(readChart(exact('4'), exact('1'), [{ levers: { cone: '1' }, drivers: [], driven: [], lead: exact('2') }], [])) // { cone: { 1: '1/2' } }
 */
export const tiedLevers = (read: ChartReading): Record<string, Record<string, string>> =>
  Object.fromEntries(
    Object.entries(read.levers).map(([lever, positions]) => [
      lever,
      Object.fromEntries(
        Object.entries(positions).filter(
          ([p]) => !read.open.some((o) => o.why === 'untied' && o.lever === lever && o.position === p),
        ),
      ),
    ]),
  );
