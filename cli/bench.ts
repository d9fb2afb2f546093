import { flatsLines } from './pictures/flats.ts';
import { SIZING_KINDS, sizingLines, type SizingKind } from './sizing/shop.ts';
import { availableParallelism } from 'node:os';
import { mountTrain } from '../core/gearing/mounting/index.ts';
import { findTrains } from '../core/gearing/search/index.ts';
import { rank } from '../core/identify/rank.ts';
import { Dice } from '../sim/random.ts';
import { harshPart } from './naming/harsh.ts';
import { readProfile } from '../core/profile/readProfile.ts';
import { lookAt } from '../core/profile/scenes.ts';
import { seeded, simulatePart } from './naming/plain.ts';
import { score, type Dealt } from './naming/score.ts';
import { exact } from '../core/quantity/rational.ts';
import { readQuery, searchTables } from '../core/standards/lookUp.ts';
import { CATALOGUE } from '../core/standards/catalogue.ts';

if (process.argv.includes('sizing')) {
  const given = process.argv.filter((a) => a in SIZING_KINDS) as SizingKind[];
  const jobs = Number(process.argv.find((a) => /^\d+$/.test(a)) ?? 200);
  for (const line of sizingLines(jobs, given.length > 0 ? given : undefined)) console.log(line);
  process.exit(0);
}

if (process.argv.includes('flats')) {
  const pictures = Number(process.argv.find((a) => /^\d+$/.test(a)) ?? 500);
  for (const line of flatsLines(pictures)) console.log(line);
  process.exit(0);
}

/** Pictures of 2 and 12 million points: drawn first, which is not timed. */
function pictures(): void {
  for (const w of [1800, 4380]) {
    const g = lookAt('press', w, 3);
    const took: number[] = [];
    for (let i = 0; i < 4; i += 1) {
      const from = performance.now();
      readProfile(g, { pxPerMm: null, pinMm: null, knownMajorMm: 49.82, starts: null, leadAngleDeg: null });
      took.push(performance.now() - from);
    }
    const [first = 0, ...warm] = took;
    const then = warm.sort((a, b) => a - b)[1] ?? 0;
    console.log(
      `a worn screw from a picture of ${((g.w * g.h) / 1e6).toFixed(1)} MP, one core: first ${first.toFixed(0)} ms, then ${then.toFixed(0)} ms; memory ${(process.memoryUsage.rss() / 1e6).toFixed(0)} MB`,
    );
  }
}
if (process.argv.includes('pictures')) {
  pictures();
  process.exit(0);
}

/** Median and worst of `runs` calls after a warm-up, milliseconds. */
function time(name: string, runs: number, run: () => unknown): void {
  for (let i = 0; i < 3; i += 1) run();
  const took: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const from = performance.now();
    run();
    took.push(performance.now() - from);
  }
  took.sort((a, b) => a - b);
  const median = took[Math.floor(took.length / 2)] ?? 0;
  console.log(
    `${name.padEnd(64)} median ${median.toFixed(2).padStart(8)} ms   worst ${(took.at(-1) ?? 0).toFixed(2).padStart(8)} ms`,
  );
}

console.log(`${availableParallelism()} cores, one used; node ${process.versions.node.split('.')[0] ?? ''}\n`);

time(`identification over ${CATALOGUE.length} rows, 1 to 4 starts, and specials`, 30, () =>
  rank({
    part: 'external',
    evidence: [
      { quantity: 'majorDiameter', valueMm: 31.55, wear: 'worn' },
      { quantity: 'majorDiameter', valueMm: 31.67, wear: 'unknown' },
      { quantity: 'crestCount', crests: 7, spanMm: 25.4 },
      { quantity: 'flankAngle', valueDeg: 55 },
    ],
    context: { origin: null, use: null },
    most: 8,
  }),
);

const crest = (valueMm: number, wear: 'worn' | 'unworn') => ({ quantity: 'majorDiameter', valueMm, wear }) as const;
time('the same with eleven readings, over wires among them', 30, () =>
  rank({
    part: 'external',
    evidence: [
      ...[37.897, 37.884].map((mm) => crest(mm, 'unworn')),
      ...[37.668, 37.541, 37.744].map((mm) => crest(mm, 'worn')),
      { quantity: 'overWires', valueMm: 39.078, wireMm: 3.749, wear: 'unworn' },
      { quantity: 'overWires', valueMm: 38.748, wireMm: 3.749, wear: 'worn' },
      { quantity: 'overWires', valueMm: 38.913, wireMm: 3.749, wear: 'worn' },
      { quantity: 'crestCount', crests: 42, spanMm: 304.8 },
      { quantity: 'flankAngle', valueDeg: 29, uncertaintyDeg: 1 },
      { quantity: 'depth', valueMm: 3.7, wear: 'unworn' },
    ],
    context: { origin: null, use: null },
    most: 8,
  }),
);

let n = 0;
time(`tables: one keystroke over ${CATALOGUE.length} rows`, 60, () =>
  searchTables(readQuery(['1', '1.2', '1.25', '1.25 in 7', '1.25 in 7 tpi', 'bsw 1'][n++ % 6] ?? '', 'mm')),
);

const gears24 = [20, 20, 24, 25, 28, 30, 32, 35, 36, 38, 40, 42, 44, 45, 48, 50, 52, 55, 60, 63, 65, 70, 75, 80];
const base = { leadscrew: exact('127/40'), target: exact('7/4'), fixedRatio: exact(1), gearbox: [exact(1)], most: 20 };
time('two pairs, 24 gears, 1.75 mm on 8 tpi', 30, () => findTrains({ ...base, gears: gears24, maxPairs: 2 }));
const gears40 = Array.from({ length: 40 }, (_, i) => 20 + 2 * i);
const boxes60 = Array.from({ length: 60 }, (_, i) => exact(`${20 + i}/40`));
time('three pairs, 40 gears, 60 gearbox ratios, 1.75 mm on 8 tpi', 5, () =>
  findTrains({ ...base, gears: gears40, gearbox: boxes60, maxPairs: 3 }),
);

/** Plain enumeration: every ordered choice of drivers and driven times every gearbox ratio, in floats; no bookkeeping at all. */
function plainEnumeration(gears: readonly number[], boxes: readonly number[], target: number): number {
  let best = Infinity;
  const n = gears.length;
  const g = (i: number): number => gears[i] ?? 1;
  for (let a = 0; a < n; a += 1)
    for (let b = a + 1; b < n; b += 1)
      for (let c = b + 1; c < n; c += 1)
        for (let d = 0; d < n; d += 1) {
          if (d === a || d === b || d === c) continue;
          for (let e = d + 1; e < n; e += 1) {
            if (e === a || e === b || e === c) continue;
            for (let f = e + 1; f < n; f += 1) {
              if (f === a || f === b || f === c) continue;
              const ratio = (g(a) * g(b) * g(c)) / (g(d) * g(e) * g(f));
              for (const box of boxes) best = Math.min(best, Math.abs(ratio * box - target));
            }
          }
        }
  return best;
}

console.log(
  '\ngrowth with the set, three pairs, 60 gearbox ratios; plain enumeration run in full beside it (half a minute)',
);
const wanted = 7 / 4 / 3.175;
for (const n of [10, 20, 30, 40]) {
  const set = gears40.slice(0, n);
  const search = (): ReturnType<typeof findTrains> =>
    findTrains({ ...base, gears: set, gearbox: boxes60, maxPairs: 3 });
  const times = Array.from({ length: 5 }, () => {
    const from = performance.now();
    search();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  const fast = times[2] ?? NaN;
  const then = performance.now();
  const nearest = plainEnumeration(
    set,
    boxes60.map((b) => b.valueOf()),
    wanted,
  );
  const plain = performance.now() - then;
  const found = Math.abs((search().trains[0]?.errorPpm ?? NaN) * 1e-6);
  const agree = Math.abs(found - nearest / wanted) < 1e-9 ? 'same best' : 'DIFFERENT BEST';
  console.log(
    `${String(n).padStart(3)} gears: ${fast.toFixed(1).padStart(7)} ms   plain ${plain.toFixed(0).padStart(7)} ms   ${(plain / fast).toFixed(0).padStart(4)} times   ${agree}`,
  );
}

const arm = {
  centresMm: 118,
  moduleMm: 1.5,
  slots: [{ fromMm: 34, toMm: 112 }],
  bossRadiusMm: 9,
  studs: 2,
};
let turn = 0;
time('mounting one train, idlers sought among 20 gears', 60, () => {
  const pick = gears24.map((_, i) => gears24[(i * 7 + turn) % 24] ?? 20);
  turn += 1;
  const pairs = 1 + (turn % 3);
  return mountTrain(pick.slice(0, pairs), pick.slice(pairs, 2 * pairs), pick.slice(2 * pairs), arm, 'odd');
});

const percent = (x: number): string => `${(x * 100).toFixed(1)} %`;
function calibration(title: string, parts: number, deal: () => Dealt): void {
  const got = score(parts, deal);
  console.log(`\n${title}: ${percent(got.top)} named rightly, log loss ${got.logLoss.toFixed(3)}\n`);
  console.log('| stated | parts | mean stated | right |\n|---|---|---|---|');
  for (const b of got.bands)
    console.log(
      `| ${Math.round(b.from * 100)}-${Math.round(b.to * 100)} % | ${b.parts} | ${percent(b.stated)} | ${percent(b.right)} |`,
    );
  console.log('\n| family | parts | right | pitch within 0.2 % |\n|---|---|---|---|');
  for (const g of got.groups)
    console.log(
      `| ${g.group} | ${g.parts} | ${percent(g.right / g.parts)} | ${g.group.startsWith('special') ? percent(g.pitchRight / g.parts) : ''} |`,
    );
}
pictures();
if (process.argv.includes('calibration')) {
  const plain = seeded(11);
  const harsh = new Dice(17);
  calibration('2000 parts of the plain bench (seed 11)', 2000, () => simulatePart(plain));
  calibration('2000 parts of the harsh bench (seed 17)', 2000, () => harshPart(harsh));
}
