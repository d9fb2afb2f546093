import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { placesAlong } from './holding.ts';
import { bendOf, secondMomentMm4, type BendRequest, type Support } from './bend.ts';

const STEEL = { boreMm: 0, youngGPa: 207, steadyAtMm: null };
const bend = (q: Partial<BendRequest>): readonly number[] => {
  const made = bendOf({
    ...STEEL,
    support: 'chuck',
    lengthMm: 304.8,
    diameterMm: 19.05,
    forceN: 100,
    atMm: [304.8],
    ...q,
  });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};

describe('against the beam tables of the handbooks', () => {
  const [L, F] = [300, 200];
  const EI = 207_000 * secondMomentMm4(19, 0);
  const of = (support: Support, a: number): number =>
    bend({ support, lengthMm: L, diameterMm: 19, forceN: F, atMm: [a] })[0] ?? NaN;
  test.each([40, 150, 260])('load at %s mm', (a) => {
    const b = L - a;
    expect(of('chuck', a)).toBeCloseTo((F * a ** 3) / (3 * EI), 12);
    expect(of('bar', a)).toBeCloseTo((F * a ** 3) / (3 * EI), 12);
    expect(of('chuck-centre', a)).toBeCloseTo((F * a ** 3 * b * b * (3 * L + b)) / (12 * EI * L ** 3), 12);
    expect(of('centres', a)).toBeCloseTo((F * a * a * b * b) / (3 * EI * L), 12);
  });
  test('worst between chuck and centre l^3/102 EI at 0.586 l; in the middle l^3/110; between centres l^3/48', () => {
    const times = (support: Support, share: number): number => (F * L ** 3) / (of(support, share * L) * EI);
    expect(times('chuck-centre', 2 - Math.SQRT2)).toBeCloseTo(102, 0);
    expect(times('chuck-centre', 0.5)).toBeCloseTo(110, 0);
    expect(times('centres', 0.5)).toBeCloseTo(48, 6);
  });
  test('a bar of 3/4 by 12 in between chuck and centre gives 1 um for 5.2 N in its middle (common practice, no source)', () => {
    const [mm = NaN] = bend({ support: 'chuck-centre', atMm: [152.4] });
    expect(100 / (1000 * mm)).toBeCloseTo(5.2, 1);
  });
});

/** The same by a mesh: the beam's equation EI w'''' = load in differences, solved by elimination; nothing of the formulas is in it. */
function byMesh(support: Support, L: number, EI: number, F: number, a: number, steady: number | null): number {
  const n = 240;
  const h = L / n;
  // unknowns w0..wn with two ghosts on each side
  const size = n + 5;
  const m = Array.from({ length: size }, () => new Float64Array(size + 1));
  const w = (i: number): number => i + 2;
  const put = (row: number, terms: readonly (readonly [number, number])[], right: number): void => {
    const r = m[row];
    if (!r) return;
    for (const [i, k] of terms) r[w(i)] = (r[w(i)] ?? 0) + k;
    r[size] = right;
  };
  const load = Math.round(a / h);
  const still = steady === null ? -1 : Math.round(steady / h);
  for (let i = 0; i <= n; i += 1)
    put(
      i,
      i === still
        ? [[i, 1]]
        : [
            [i - 2, 1],
            [i - 1, -4],
            [i, 6],
            [i + 1, -4],
            [i + 2, 1],
          ],
      i === load && i !== still ? (F * h ** 3) / EI : 0,
    );
  const clampedAt0 = support !== 'centres';
  // the ends: still and level, or still and without moment, or free of moment and shear
  put(n + 1, [[0, 1]], 0);
  put(
    n + 2,
    clampedAt0
      ? [
          [1, 1],
          [-1, -1],
        ]
      : [
          [1, 1],
          [0, -2],
          [-1, 1],
        ],
    0,
  );
  const free = support === 'chuck' || support === 'bar';
  put(
    n + 3,
    [
      [n + 1, 1],
      [n, -2],
      [n - 1, 1],
    ],
    0,
  );
  put(
    n + 4,
    free
      ? [
          [n + 2, 1],
          [n + 1, -2],
          [n - 1, 2],
          [n - 2, -1],
        ]
      : [[n, 1]],
    0,
  );
  // a support takes the equation of its own place
  const replaced = [0, ...(free ? [] : [n])];
  for (const i of replaced) m[i]?.fill(0);
  const rows = m.filter((_, i) => !replaced.includes(i));
  // as many unknowns as rows: the outermost ghosts stand in no equation any more
  const used = Array.from({ length: size }, (_, c) => c).filter((c) => rows.some((r) => r[c] !== 0));
  const a2 = rows.map((r) => [...used.map((c) => r[c] ?? 0), r[size] ?? 0]);
  const k = used.length;
  for (let c = 0; c < k; c += 1) {
    let pivot = c;
    for (let r = c; r < a2.length; r += 1) if (Math.abs(a2[r]?.[c] ?? 0) > Math.abs(a2[pivot]?.[c] ?? 0)) pivot = r;
    const [x, y] = [a2[c], a2[pivot]];
    if (!x || !y) continue;
    [a2[c], a2[pivot]] = [y, x];
    for (let r = c + 1; r < a2.length; r += 1) {
      const row = a2[r];
      const f = (row?.[c] ?? 0) / (y[c] ?? 1);
      if (!row || f === 0) continue;
      for (let q = c; q <= k; q += 1) row[q] = (row[q] ?? 0) - f * (y[q] ?? 0);
    }
  }
  const out = new Float64Array(k);
  for (let r = k - 1; r >= 0; r -= 1) {
    const row = a2[r];
    let sum = row?.[k] ?? 0;
    for (let c = r + 1; c < k; c += 1) sum -= (row?.[c] ?? 0) * (out[c] ?? 0);
    out[r] = sum / (row?.[r] ?? 1);
  }
  return out[used.indexOf(w(load))] ?? NaN;
}

test.each([
  ['chuck', 0.75, null],
  ['chuck', 0.9, 0.5],
  ['chuck-centre', 0.55, null],
  ['chuck-centre', 0.75, 0.5],
  ['centres', 0.4, null],
  ['centres', 0.25, 0.5],
] as const)('against a mesh of the beam: %s, load at %s of the length, steady at %s', (support, at, steadyAt) => {
  const [L, D, F] = [400, 25, 150];
  const EI = 207_000 * secondMomentMm4(D, 0);
  const steadyAtMm = steadyAt === null ? null : steadyAt * L;
  const [mm = NaN] = bend({ support, lengthMm: L, diameterMm: D, forceN: F, atMm: [at * L], steadyAtMm });
  expect(mm / byMesh(support, L, EI, F, at * L, steadyAtMm)).toBeCloseTo(1, 2);
});

test('a steady never makes it worse, keeps its own place still, and a support does not give', () => {
  const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });
  fc.assert(
    fc.property(fc.constantFrom('chuck', 'chuck-centre', 'centres'), share, share, (support, at, steady) => {
      const L = 300;
      const [alone = 0] = bend({ support, lengthMm: L, atMm: [at * L] });
      const [held = 0, own = 1] = bend({ support, lengthMm: L, atMm: [at * L, steady * L], steadyAtMm: steady * L });
      return held <= alone + 1e-12 && Math.abs(own) < 1e-12;
    }),
  );
  expect(bend({ support: 'chuck-centre', lengthMm: 300, atMm: [0, 300] })).toEqual([0, 0]);
});

test('what cannot be is refused where it was given', () => {
  const asked = (q: Partial<BendRequest>) =>
    bendOf({ ...STEEL, support: 'centres', lengthMm: 300, diameterMm: 19, forceN: 200, atMm: [10], ...q });
  expect(asked({ atMm: [10, 301] })).toMatchObject({ ok: false, problem: { field: 'atMm.1', code: 'place-off-work' } });
  expect(asked({ steadyAtMm: 300 })).toMatchObject({ ok: false, problem: { field: 'steadyAtMm' } });
  expect(asked({ support: 'chuck', steadyAtMm: 300 }).ok).toBe(true);
  expect(asked({ support: 'bar', steadyAtMm: 20 })).toMatchObject({ ok: false, problem: { code: 'no-steady-on-bar' } });
  expect(asked({ boreMm: 19 })).toMatchObject({ ok: false, problem: { field: 'boreMm' } });
  expect(asked({ forceN: 0 })).toMatchObject({ ok: false, problem: { field: 'forceN' } });
});

test('places along the work lie on it, from the first to the last, whatever its length', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1000, noNaN: true }),
      fc.double({ min: 1e-6, max: 1000, noNaN: true }),
      (a, b) => {
        const [from, to] = [Math.min(a, b), Math.max(a, b)];
        const places = placesAlong(from, to);
        return places[0] === from && places.at(-1) === to && places.every((p) => p >= from && p <= to);
      },
    ),
  );
});
