import type { Means, SizeAsked } from '../../core/sizing/asked.ts';
import { sizeOf } from '../../core/sizing/decide.ts';
import type { MateResult, SizeEvent } from '../../core/sizing/model.ts';
import { Dice } from '../../sim/random.ts';

/** By what the jobs of a kind are proved, and what stands in their way. */
export const SIZING_KINDS = {
  wires: 'by wires',
  gauge: 'by go and not-go',
  plugs: 'a nut bored over, by plugs',
  nut: 'by a nut of known limits',
  unknown: 'a nut bored over, by a screw of unknown size',
  lead: 'by two nuts, the lead off in half of them',
  special: 'a special without a class, by wires',
  pickup: 'by wires, picked up again in mid-cut',
} as const;
/** One of SIZING_KINDS. */
export type SizingKind = keyof typeof SIZING_KINDS;

/** Bore of a nut under its pitch diameter, over the pitch: a 60 degree nut bored over. Common practice, no source. */
const BORED_OVER = 0.29;

interface Nut {
  readonly name: string;
  readonly mm: number;
  readonly lengthMm: number;
}

/**
 * A lathe of which the model knows nothing but what it is told: one true share of a pass, one true dial error, scatter, mates
 * of their own size and a hand of its own. It shares no code with the model. Invented, after common practice.
 */
function job(d: Dice, kind: SizingKind, member: 'external' | 'internal') {
  const pitchMm = d.of([1, 1.5, 2, 3]);
  const g = 0.01 * Math.sqrt(pitchMm);
  const s = member === 'external' ? 1 : -1;
  const tan = Math.tan(Math.PI / 6);
  const q = 2 * tan;
  const flatMm = pitchMm / 8;
  const beyond = (pitchMm / 2 - flatMm) / q;
  const boredOver = kind === 'plugs' || kind === 'unknown';
  const surfaceMm = 10 * pitchMm + d.between(-0.05, 0.05);
  const basic = surfaceMm - s * (boredOver ? BORED_OVER : 0.6) * pitchMm;
  const share = d.between(0.6, 0.97);
  const narrow = d.chance(0.5);
  let dialOff = d.gauss(0.02);
  const shared = d.gauss(0.002);
  const hand = d.gauss(0.5);
  const byMate = kind === 'nut' || kind === 'unknown' || kind === 'lead';
  const known = kind === 'nut' ? { minMm: basic - 0.09, maxMm: basic + 0.09 } : null;
  // of a mate of which nothing is said: its allowance, its tolerance, its wear
  const mateMm = (): number =>
    known ? d.between(known.minMm, known.maxMm) : basic + s * d.between(0, 0.2) * Math.sqrt(pitchMm);
  const leadPerMm = kind === 'lead' && d.chance(0.5) ? d.between(0.0005, 0.003) : 0;
  const first = mateMm();
  const nuts: readonly Nut[] =
    kind === 'lead'
      ? [
          { name: 'long nut', mm: first, lengthMm: 40 },
          { name: 'short nut', mm: first + d.gauss(0.01), lengthMm: 10 },
        ]
      : [{ name: 'mate', mm: first, lengthMm: 0 }];
  const window = d.between(3, 4.5) * g;
  let real = 0;
  // once it was picked up: what the groove was as good as, and how far beside it the tool stands
  let old = 0;
  let aside = 0;
  /** The groove is as wide at the pitch line as both cuts together make it. */
  const asDeepAs = (): number => (aside === 0 ? real : Math.max(real, old, (real + old) / 2 + aside / q));
  const size = (): number => surfaceMm - s * 2 * (asDeepAs() - beyond);
  const half = kind === 'special' ? 0.02 + 0.015 * Math.sqrt(pitchMm) : 0.05;
  const [min, max] = [basic - half, basic + half];
  const nutMeans = nuts.map((n): Means => ({
    kind: 'mate',
    name: n.name,
    bounds: known,
    lengthMm: n.lengthMm || null,
    shakeUncertaintyMm: null,
  }));
  const means: Means[] = byMate
    ? nutMeans
    : kind === 'gauge' || kind === 'plugs'
      ? [
          { kind: 'gauge', which: 'go', pitchDiameterMm: s === 1 ? max : min },
          { kind: 'gauge', which: 'not-go', pitchDiameterMm: s === 1 ? min : max },
        ]
      : [{ kind: 'measured', uncertaintyMm: 0.006 }];
  /** Clearance to a nut at its start, and with all of it on. */
  const clearance = (n: Nut, whole: boolean): number =>
    s * (n.mm - size()) - (whole ? (leadPerMm * n.lengthMm) / tan : 0);
  const feel = (n: Nut): { readonly result: MateResult; readonly turns: number | null } => {
    const off = hand + d.gauss(0.2);
    const of = (c: number): MateResult => {
      const f = c / g + off;
      return f < -2 ? 'no-start' : f < -0.5 ? 'starts' : f < 1 ? 'tight' : f < 4 ? 'runs' : 'shakes';
    };
    const begins = of(clearance(n, false));
    const ends = of(clearance(n, true));
    const goes = begins === 'runs' || begins === 'shakes';
    if (goes && (ends === 'no-start' || ends === 'starts' || ends === 'tight'))
      return { result: 'binds', turns: Math.max(1, Math.floor((clearance(n, false) * tan) / (leadPerMm * pitchMm))) };
    if (begins === 'tight' && (ends === 'no-start' || ends === 'starts')) return { result: 'starts', turns: null };
    return { result: begins === 'no-start' || begins === 'starts' ? begins : ends, turns: null };
  };
  const asked: SizeAsked = {
    model: {
      member,
      pitchMm,
      surfaceMm,
      tip: { flatMm },
      leadingDeg: 30,
      trailingDeg: 30,
      dialUncertaintyMm: 0.02,
      settingMm: 0.003,
      wiresSharedMm: 0.002,
      basicMm: basic,
      special: kind === 'special',
    },
    target: byMate ? { minClearanceMm: g, maxClearanceMm: g + window } : { minMm: min, maxMm: max },
    means,
    history: [],
    // a dial of hundredths, set to half of one
    stepMm: 0.005,
    mostMm: 0.15,
  };
  const decides = nuts[0] as Nut;
  const inside = (): boolean =>
    byMate ? clearance(decides, true) >= g && clearance(decides, true) <= g + window : size() >= min && size() <= max;
  const past = (): boolean => (byMate ? clearance(decides, false) > g + window : s === 1 ? size() < min : size() > max);
  const cut = (setMm: number): void => {
    const ahead = setMm + dialOff + d.gauss(0.003) - real;
    if (ahead <= 0) return;
    const k0 = Math.min(0.99, share + d.gauss(0.03));
    const k = narrow ? 1 / (1 + (1 / k0 - 1) * Math.min(1, real / setMm)) : k0;
    if (ahead >= 0.005 || d.chance(0.5)) real += k * ahead;
  };
  const measure = (m: Means): SizeEvent => {
    if (m.kind === 'measured')
      return { kind: 'measured', pitchDiameterMm: size() + s * shared + d.gauss(0.006), uncertaintyMm: 0.006 };
    if (m.kind === 'gauge') return { ...m, passes: s * (size() - m.pitchDiameterMm) + d.gauss(0.002) < 0 };
    const nut = nuts.find((n) => n.name === m.name) ?? decides;
    const { name, bounds, lengthMm } = m;
    return { kind: 'mate', name, bounds, lengthMm, shakeMm: null, uncertaintyMm: 0.01, ...feel(nut) };
  };
  /** The tool was taken out: another zero, and the groove found again within two hundredths along the axis. */
  const pickUp = (): SizeEvent[] => {
    dialOff = d.gauss(0.02);
    old = asDeepAs();
    aside = Math.abs(d.gauss(AXIAL_MM));
    return [{ kind: 'rezero' }, { kind: 'picked-up', axialMm: AXIAL_MM }];
  };
  const binds = (): boolean =>
    byMate && nuts.some((n) => clearance(n, false) > g && clearance(n, true) / g + hand < -0.5);
  return { asked, cut, measure, pickUp, inside, past, binds, size, wrongLead: leadPerMm > 0 };
}
/** How well a groove is found again along the axis, mm. Common practice, no source. */
const AXIAL_MM = 0.02;

interface Tally {
  /** Inside, or stopped because of the lead where it was the lead. */
  inside: number;
  past: number;
  /** Called right while a mate that has to go on binds. */
  rightOverBind: number;
  steps: number;
  within1: number;
  within2: number;
  answers: number;
  readonly pastSeeds: number[];
}

const emptyTally = (): Tally => ({
  inside: 0,
  past: 0,
  rightOverBind: 0,
  steps: 0,
  within1: 0,
  within2: 0,
  answers: 0,
  pastSeeds: [],
});
const MOST_ACTS = 80;

/** One job gone through until it says stop: why it did. @param again after how many events the tool is taken out; -1: never */
function carryOne(j: ReturnType<typeof job>, again: number, out: Tally): string {
  const history: SizeEvent[] = [];
  let last = 0;
  let left = again;
  for (let n = 0; n < MOST_ACTS; n += 1) {
    if (history.length === left && last > 0) {
      left = -1;
      history.push(...j.pickUp());
    }
    const a = sizeOf({ ...j.asked, history });
    if (history.length > 0) {
      const off = Math.abs(a.pitchDiameterMm.value - j.size()) / a.pitchDiameterMm.uncertainty;
      out.answers += 1;
      out.within1 += Number(off < 1);
      out.within2 += Number(off < 2);
    }
    if (a.next.do === 'stop' || a.next.do === 'scrap') return a.why;
    out.steps += 1;
    if (a.next.do === 'measure') {
      const m = j.asked.means[a.next.with ?? 0];
      if (m) history.push(j.measure(m));
      continue;
    }
    if (a.next.do === 'cut') last = a.next.depthMm;
    j.cut(last);
    history.push(a.next.do === 'cut' ? { kind: 'cut', depthMm: last } : { kind: 'spring' });
  }
  return '';
}

/** Jobs by one kind of proof, each gone through until it says stop. */
export function shop(kind: SizingKind, jobs: number): Tally {
  const out = emptyTally();
  const kindSeed = Object.keys(SIZING_KINDS).indexOf(kind) * 100_003;
  for (let seed = 1; seed <= jobs; seed += 1) {
    const d = new Dice(kindSeed + seed);
    const internal = kind === 'plugs' || kind === 'unknown' || (kind !== 'lead' && seed % 4 === 0);
    const j = job(d, kind, internal ? 'internal' : 'external');
    const why = carryOne(j, kind === 'pickup' ? d.whole(3, 8) : -1, out);
    const past = j.past();
    out.inside += Number(j.inside() || (why === 'check-lead' && j.wrongLead));
    out.past += Number(past);
    if (past) out.pastSeeds.push(seed);
    out.rightOverBind += Number((why === 'reached' || why === 'no-more-to-know') && j.binds());
  }
  return out;
}

/** So many jobs by each kind of proof, as lines to print. */
export function sizingLines(
  jobs: number,
  kinds: readonly SizingKind[] = Object.keys(SIZING_KINDS) as SizingKind[],
): string[] {
  return kinds.map((kind) => {
    const r = shop(kind, jobs);
    const share = (n: number): string => `${((100 * n) / r.answers).toFixed(0)} %`;
    const seeds = r.pastSeeds.length > 0 ? ` (seeds ${r.pastSeeds.join(', ')})` : '';
    return `${SIZING_KINDS[kind]}: ${r.inside} of ${jobs} inside, ${r.past} past${seeds}, ${r.rightOverBind} called right over a mate that binds, ${(r.steps / jobs).toFixed(1)} steps a job; truth within one sigma ${share(r.within1)}, within two ${share(r.within2)}`;
  });
}
