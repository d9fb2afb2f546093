import { sizeOf, type Means, type SizeAsked } from '../../core/sizing/decide.ts';
import type { Bounds, MateResult, SizeEvent } from '../../core/sizing/model.ts';
import { Dice } from '../../sim/random.ts';

/**
 * A lathe of which the model knows nothing but what it is told: one true share of a pass, one true dial error, scatter, a mate
 * of its own size and a hand of its own. It shares no code with the model. Invented, after common practice.
 */
function job(d: Dice, kind: 'wires' | 'gauge' | 'nut', member: 'external' | 'internal') {
  const pitchMm = d.of([1, 1.5, 2, 3]);
  const g = 0.01 * Math.sqrt(pitchMm);
  const s = member === 'external' ? 1 : -1;
  const q = 2 * Math.tan(Math.PI / 6);
  const flatMm = pitchMm / 8;
  const beyond = (pitchMm / 2 - flatMm) / q;
  const surfaceMm = 10 * pitchMm + d.between(-0.05, 0.05);
  const basic = surfaceMm - s * 0.6 * pitchMm;
  const share = d.between(0.6, 0.97);
  const narrow = d.chance(0.5);
  const dialOff = d.gauss(0.02);
  const shared = d.gauss(0.002);
  const hand = d.gauss(0.5);
  const bounds: Bounds = { minMm: basic - 0.09, maxMm: basic + 0.09 };
  const mate = d.between(bounds.minMm, bounds.maxMm);
  const window = d.between(3, 4.5) * g;
  let real = 0;
  const size = (): number => surfaceMm - s * 2 * (real - beyond);
  const [min, max] = [basic - 0.05, basic + 0.05];
  const means: Means[] =
    kind === 'wires'
      ? [{ kind: 'measured', uncertaintyMm: 0.006 }]
      : kind === 'gauge'
        ? [
            { kind: 'gauge', which: 'go', pitchDiameterMm: s === 1 ? max : min },
            { kind: 'gauge', which: 'not-go', pitchDiameterMm: s === 1 ? min : max },
          ]
        : [{ kind: 'mate', name: 'mate', bounds, lengthMm: null, shakeUncertaintyMm: null }];
  const clearance = (): number => s * (mate - size());
  const feel = (): MateResult => {
    const f = clearance() / g + hand + d.gauss(0.2);
    return f < -2 ? 'no-start' : f < -0.5 ? 'starts' : f < 1 ? 'tight' : f < 4 ? 'runs' : 'shakes';
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
    },
    target: kind === 'nut' ? { minClearanceMm: g, maxClearanceMm: g + window } : { minMm: min, maxMm: max },
    means,
    history: [],
    stepMm: 0.01,
    mostMm: 0.15,
  };
  const inside = (): boolean =>
    kind === 'nut' ? clearance() >= g && clearance() <= g + window : size() >= min && size() <= max;
  const past = (): boolean => (kind === 'nut' ? clearance() > g + window : s === 1 ? size() < min : size() > max);
  const cut = (setMm: number): void => {
    const ahead = setMm + dialOff + d.gauss(0.003) - real;
    if (ahead <= 0) return;
    const k0 = Math.min(0.99, share + d.gauss(0.03));
    const k = narrow ? 1 / (1 + (1 / k0 - 1) * Math.min(1, real / setMm)) : k0;
    if (ahead >= 0.005 || d.chance(0.5)) real += k * ahead;
  };
  const measure = (m: Means): SizeEvent =>
    m.kind === 'measured'
      ? { kind: 'measured', pitchDiameterMm: size() + s * shared + d.gauss(0.006), uncertaintyMm: 0.006 }
      : m.kind === 'gauge'
        ? { ...m, passes: s * (size() - m.pitchDiameterMm) + d.gauss(0.002) < 0 }
        : {
            kind: 'mate',
            name: 'mate',
            bounds,
            lengthMm: null,
            turns: null,
            shakeMm: null,
            uncertaintyMm: 0.01,
            result: feel(),
          };
  return { asked, cut, measure, inside, past, size };
}

/** Jobs by one kind of proof, each gone through until it says stop. */
export function shop(kind: 'wires' | 'gauge' | 'nut', jobs: number) {
  const d = new Dice(kind.length * 7919);
  const out = { inside: 0, past: 0, steps: 0, within1: 0, within2: 0, answers: 0 };
  for (let i = 0; i < jobs; i += 1) {
    const j = job(d, kind, i % 4 === 3 ? 'internal' : 'external');
    const history: SizeEvent[] = [];
    let last = 0;
    for (let n = 0; n < 60; n += 1) {
      const a = sizeOf({ ...j.asked, history });
      if (history.length > 0) {
        const off = Math.abs(a.pitchDiameterMm.value - j.size()) / a.pitchDiameterMm.uncertainty;
        out.answers += 1;
        out.within1 += Number(off < 1);
        out.within2 += Number(off < 2);
      }
      if (a.next.do === 'stop' || a.next.do === 'scrap') break;
      out.steps += 1;
      if (a.next.do === 'measure') {
        const m = j.asked.means[a.next.with ?? 0];
        if (m) history.push(j.measure(m));
      } else {
        if (a.next.do === 'cut') last = a.next.depthMm;
        j.cut(last);
        history.push(a.next.do === 'cut' ? { kind: 'cut', depthMm: last } : { kind: 'spring' });
      }
    }
    out.inside += Number(j.inside());
    out.past += Number(j.past());
  }
  return out;
}

/** Two hundred jobs by each kind of proof, as lines to print. */
export function sizingLines(jobs: number): string[] {
  return (['wires', 'gauge', 'nut'] as const).map((kind) => {
    const r = shop(kind, jobs);
    const share = (n: number): string => `${((100 * n) / r.answers).toFixed(0)} %`;
    return `by ${kind}: ${r.inside} of ${jobs} inside, ${r.past} past, ${(r.steps / jobs).toFixed(1)} steps a job; truth within one sigma ${share(r.within1)}, within two ${share(r.within2)}`;
  });
}
