import { leadOfTrain, type Geared, type Gearing } from '../train.ts';
import { errorPpm, exact, numberOf, textOf, type Rational } from '../../quantity/rational.ts';

/** What a search for trains is asked. */
export interface TrainRequest {
  /** Leadscrew pitch (its lead), mm, exact. */
  readonly leadscrew: Rational;
  /** Lead to cut, mm, exact. */
  readonly target: Rational;
  /** Teeth of every gear owned; a gear owned twice is listed twice. */
  readonly gears: readonly number[];
  /** Spindle-to-stud ratio times anything else that never changes. */
  readonly fixedRatio: Rational;
  readonly gearbox: readonly Rational[];
  readonly maxPairs: 1 | 2 | 3;
  /** How many distinct leads to return. */
  readonly most: number;
  /** How many different trains to keep for each lead; 1 when only the lead matters. */
  readonly perLead?: number;
}

/** A train with the lead that it cuts. */
export interface Train extends Geared {
  /** Exact lead cut, mm. */
  readonly leadMm: string;
  readonly errorPpm: number;
}

/** Trains that were found, and how far it was looked. */
export interface TrainResult {
  /** Best first: least error, then fewest pairs, then the larger smallest gear. */
  readonly trains: readonly Train[];
  /** Every lead that this set makes within these pairs, no further off than this, was looked at, ppm; null: every one at all. */
  readonly lookedAtPpm: number | null;
}

/** All choices of k gears that have one product. */
interface Group {
  readonly product: number;
  readonly choices: (readonly number[])[];
}

/** Every way to take k gears from those owned, grouped by product, ascending. */
function choose(teeth: readonly number[], counts: ReadonlyMap<number, number>, k: number): Group[] {
  const byProduct = new Map<number, (readonly number[])[]>();
  const taken: number[] = [];
  const walk = (from: number, prod: number): void => {
    if (taken.length === k) {
      const list = byProduct.get(prod);
      if (list) list.push([...taken]);
      else byProduct.set(prod, [[...taken]]);
      return;
    }
    for (let i = from; i < teeth.length; i += 1) {
      const t = teeth[i] ?? 0;
      const used = taken.filter((x) => x === t).length;
      if (used >= (counts.get(t) ?? 0)) continue;
      taken.push(t);
      walk(i, prod * t);
      taken.pop();
    }
  };
  walk(0, 1);
  return [...byProduct].map(([product, choices]) => ({ product, choices })).sort((a, b) => a.product - b.product);
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** A lead found, with the trains that make it. Ratios are kept as whole numbers so that equal leads are recognised exactly. */
interface Found {
  readonly error: number;
  readonly trains: { drivers: readonly number[]; driven: readonly number[]; box: number }[];
}

/** First window tried, relative; an exact train is inside it whatever the rounding. */
const FIRST_WINDOW = 1e-9;
const WINDOW_GROWTH = 16;
/** Combinations looked at for one pair of products before moving on; the rest differ only in which gears make the same lead. */
const CHOICES_LOOKED_AT = 400;

/**
 * Every train of one to three pairs times every gearbox ratio, nearest leads first.
 *
 * Driving and driven gears are chosen separately and grouped by product, so that a ratio is one lookup: for each driven
 * product the drivers wanted lie in a window around ratio x product, and the window slides as the product grows. All
 * trains within the window are found before it is widened, which is why none that is nearer than the last listed is missing. A train that uses the
 * same number of teeth as driver and driven cuts what a shorter train cuts, and is left to that one.
 * @example findTrains({ leadscrew: exact(6), target: exact(3), gears: [20, 40, 60], fixedRatio: exact(1), gearbox: [exact(1)], maxPairs: 1, most: 1 }).trains[0].errorPpm // 0; 20 drives 40
 */
export function findTrains(request: TrainRequest, onProgress?: (done: number) => void): TrainResult {
  const { leadscrew, target, gears, fixedRatio, gearbox, maxPairs, most } = request;
  const perLead = request.perLead ?? 1;
  const counts = new Map<number, number>();
  for (const g of gears) counts.set(g, (counts.get(g) ?? 0) + 1);
  const ownsTwo = (t: number): boolean => (counts.get(t) ?? 0) >= 2;
  const teeth = [...counts.keys()].sort((a, b) => a - b);
  const boxes = distinct(gearbox);
  const wanted = boxes.map((b) => numberOf(target.div(leadscrew).div(fixedRatio).div(b)));
  const sizes = ([1, 2, 3] as const).filter((k) => k <= maxPairs && 2 * k <= gears.length);
  const groups = sizes.map((k) => choose(teeth, counts, k));

  let found = new Map<string, Found>();
  let window = FIRST_WINDOW;
  for (let round = 0; ; round += 1) {
    found = new Map();
    groups.forEach((group, gi) => {
      boxes.forEach((box, bi) => scan(group, wanted[bi] ?? 0, box, bi, sizes[gi] ?? 1, window));
    });
    onProgress?.(Math.min(0.95, (round + 1) / 8));
    if (window === Infinity || found.size >= most) break;
    window = window < 0.05 ? window * WINDOW_GROWTH : Infinity;
  }

  const ranked = [...found.values()].sort((a, b) => a.error - b.error).slice(0, most);
  const trains = ranked.flatMap((f) =>
    f.trains
      .slice()
      .sort((a, b) => handiness(b) - handiness(a))
      .slice(0, perLead)
      .map((t): Train => {
        const gearboxText = textOf(boxes[t.box] ?? exact(1));
        const lead = leadOfTrain({ ...t, gearbox: gearboxText }, leadscrew, fixedRatio);
        return {
          drivers: t.drivers,
          driven: t.driven,
          gearbox: gearboxText,
          leadMm: textOf(lead),
          errorPpm: errorPpm(lead, target),
        };
      }),
  );
  return { trains: trains.sort(byMerit), lookedAtPpm: window === Infinity ? null : window * 1e6 };

  function scan(
    group: readonly Group[],
    ratio: number,
    box: Rational,
    boxIndex: number,
    pairs: number,
    within: number,
  ): void {
    const bn = Number(box.n);
    const bd = Number(box.d);
    let low = 0;
    for (const driven of group) {
      const centre = ratio * driven.product;
      const from = within === Infinity ? 0 : centre * (1 - within);
      const to = within === Infinity ? Infinity : centre * (1 + within);
      while (low < group.length && (group[low]?.product ?? 0) < from) low += 1;
      for (let i = low; i < group.length; i += 1) {
        const driver = group[i];
        if (!driver || driver.product > to) break;
        const num = driver.product * bn;
        const den = driven.product * bd;
        const d = gcd(num, den);
        const key = `${num / d}/${den / d}`;
        let entry = found.get(key);
        if (entry && perLead === 1 && (entry.trains[0]?.drivers.length ?? 0) < pairs) continue;
        const made = pairUp(driver.choices, driven.choices, boxIndex, pairs, perLead, ownsTwo);
        if (made.length === 0) continue;
        if (!entry) {
          entry = { error: Math.abs(driver.product / centre - 1), trains: [] };
          found.set(key, entry);
        }
        entry.trains.push(...made);
      }
    }
  }
}

/** Pairs driver and driven choices that the set can supply together; the handiest ones. */
function pairUp(
  drivers: Group['choices'],
  driven: Group['choices'],
  box: number,
  pairs: number,
  keep: number,
  owned: (teeth: number) => boolean,
): Found['trains'] {
  const out: Found['trains'] = [];
  let looked = 0;
  for (const a of drivers) {
    for (const b of driven) {
      looked += 1;
      if (looked > CHOICES_LOOKED_AT && out.length > 0) return best(out, keep);
      // two equal gears are a train of one pair, if two are owned; in a longer train they only add weight
      if (pairs === 1 ? a[0] === b[0] && !owned(a[0] ?? 0) : a.some((t) => b.includes(t))) continue;
      out.push({ drivers: a, driven: b, box });
    }
  }
  return best(out, keep);
}
const best = (list: Found['trains'], keep: number): Found['trains'] =>
  list.length <= keep ? list : list.sort((a, b) => handiness(b) - handiness(a)).slice(0, keep);

/** Fewer pairs, then no tiny gear. Common practice: no gear below about 20 teeth driving hard. */
const handiness = (t: Gearing): number => -1000 * t.drivers.length + Math.min(...t.drivers, ...t.driven);

const byMerit = (a: Train, b: Train): number =>
  Math.abs(a.errorPpm) - Math.abs(b.errorPpm) || a.drivers.length - b.drivers.length || handiness(b) - handiness(a);

const distinct = (list: readonly Rational[]): Rational[] => {
  const seen = new Map(list.map((r) => [textOf(r), r]));
  return [...seen.values()];
};
