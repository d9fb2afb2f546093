import { describe, expect, test } from '@jest/globals';
import { Dice } from '../../sim/random.ts';
import { programOf, type ProgramChoice } from './iso6983.ts';
import { motionOf, type MotionAsk } from './motion.ts';

const ASK: MotionAsk = {
  member: 'external',
  hand: 'right',
  leadMm: 2,
  starts: 1,
  taper: 0,
  surfaceMm: 30,
  threadMm: 40,
  reliefMm: 0,
  startLeads: 3,
  grooveMm: null,
  clearanceMm: 1,
  boreClearMm: null,
  passes: [
    { depthMm: 0.3, axialMm: 0.15 },
    { depthMm: 0.6, axialMm: 0.3 },
    { depthMm: 0.6, axialMm: 0.3 },
  ],
  rpm: 200,
};
const CHOICE: ProgramChoice = {
  unit: 'mm',
  word: 'G33',
  diameterProgramming: true,
  rpm: 200,
  leadMm: 2,
  comments: ['Test (of it) \u00d7 2'],
};
const made = (over: Partial<MotionAsk> = {}) => {
  const m = motionOf({ ...ASK, ...over });
  if (!m.ok) throw new Error(m.problem.code);
  return m.value;
};
const text = (over: Partial<MotionAsk> = {}, choice: Partial<ProgramChoice> = {}): string =>
  programOf(made(over), { ...CHOICE, leadMm: over.leadMm ?? ASK.leadMm, ...choice });

interface Cut {
  readonly fromX: number;
  readonly toX: number;
  readonly fromZ: number;
  readonly toZ: number;
  readonly lead: number;
}
interface Run {
  readonly cuts: readonly Cut[];
  readonly rapids: readonly { readonly axis: string; readonly x: number; readonly z: number }[];
  readonly last: { readonly x: number; readonly z: number; readonly spindle: boolean };
}
/** A small control of its own: it knows nothing of what wrote the text, and refuses what it does not know. x is a diameter, mm. */
function run(program: string, diameter: boolean): Run {
  const cuts: Cut[] = [];
  const rapids: Run['rapids'][number][] = [];
  let [x, z, unit, spindle, ended] = [NaN, NaN, 0, false, false];
  for (const raw of program.split('\n')) {
    expect(raw.length).toBeLessThanOrEqual(80);
    const line = raw.replace(/\([^()]*\)/g, '').trim();
    if (line === '' || line === '%') continue;
    expect(ended).toBe(false);
    const words = line.split(/\s+/).map((w) => {
      const m = /^([NGXZFSM])(-?\d+\.?\d*)$/.exec(w);
      if (!m) throw new Error(`word ${w}`);
      if ('XZF'.includes(m[1] ?? '')) expect(w).toContain('.');
      return [m[1] ?? '', Number(m[2])] as const;
    });
    const get = (c: string): number | undefined => words.find((w) => w[0] === c)?.[1];
    for (const [c, v] of words)
      if (c === 'G') {
        if (v === 20 || v === 21) unit = v === 20 ? 25.4 : 1;
        else if (![0, 32, 33, 90, 95, 97].includes(v)) throw new Error(`G${v}`);
      } else if (c === 'M') {
        if (v === 3) spindle = true;
        else if (v === 5) spindle = false;
        else if (v === 30) ended = true;
        else throw new Error(`M${v}`);
      }
    const [gx, gz, gf] = [get('X'), get('Z'), get('F')];
    if (gx === undefined && gz === undefined) continue;
    expect(spindle).toBe(true);
    const next = {
      x: gx === undefined ? x : gx * unit * (diameter ? 1 : 2),
      z: gz === undefined ? z : gz * unit,
    };
    if (words.some(([c, v]) => c === 'G' && v === 0)) {
      expect(gx === undefined || gz === undefined).toBe(true);
      rapids.push({ axis: gx === undefined ? 'Z' : 'X', ...next });
    } else cuts.push({ fromX: x, toX: next.x, fromZ: z, toZ: next.z, lead: (gf ?? NaN) * unit });
    ({ x, z } = next);
  }
  expect(ended).toBe(true);
  return { cuts, rapids, last: { x, z, spindle } };
}

describe('the travel of a pass', () => {
  test('the contract\u2019s own figures: start, end, parameters', () => {
    const m = made();
    expect(m.start).toEqual({ xMm: 32, zMm: expect.closeTo(6.3, 9) });
    expect(m.end).toEqual({ xMm: expect.closeTo(28.8, 9), zMm: -40 });
    expect(m.params).toMatchObject({ cuts: 2, springs: 1, feedMmPerMin: 400, firstXMm: expect.closeTo(29.4, 9) });
    expect(m.params.lastInfeedMm).toBeCloseTo(0.3, 9);
    expect(m.params.infeedDeg).toBeCloseTo(26.565, 3);
    expect(m.params.turns).toBeCloseTo(46.3 / 2, 9);
  });
  test('on a taper of 1 in 16 both ends lie on the cone, and the tool waits off its widest place', () => {
    const m = made({ taper: 1 / 16, passes: [{ depthMm: 1, axialMm: 0 }] });
    const [t] = m.travels;
    // 3/4 in a foot: 1.790 degrees to the axis
    expect(m.params.taperDeg).toBeCloseTo(1.79, 2);
    expect((t?.toX ?? 0) - (t?.fromX ?? 0)).toBeCloseTo(46 / 16, 9);
    expect(m.start.xMm).toBeCloseTo(30 + 40 / 16 + 2, 9);
    const nut = made({ member: 'internal', taper: 1 / 16, passes: [{ depthMm: 1, axialMm: 0 }] });
    expect(nut.start.xMm).toBeCloseTo(30 - 40 / 16 - 2, 9);
  });
  test.each([
    [{ passes: [] }, 'passes'],
    [{ passes: [{ depthMm: 0, axialMm: 0 }] }, 'passes.0.depthMm'],
    [
      {
        passes: [
          { depthMm: 0.4, axialMm: 0 },
          { depthMm: 0.3, axialMm: 0 },
        ],
      },
      'passes.1.depthMm',
    ],
    [{ passes: [{ depthMm: 15.1, axialMm: 0 }] }, 'passes'],
    [{ startLeads: 0.5 }, 'startLeads'],
    [{ rpm: 0 }, 'rpm'],
    [{ clearanceMm: 0 }, 'clearanceMm'],
    [{ member: 'internal' as const, clearanceMm: 16 }, 'clearanceMm'],
    [{ member: 'internal' as const, boreClearMm: 0.5 }, 'clearanceMm'],
    [{ hand: 'left' as const, reliefMm: 5 }, 'reliefMm'],
  ])('%j is refused at %s', (over, field) => {
    const m = motionOf({ ...ASK, ...over });
    expect(m.ok ? null : m.problem.field).toBe(field);
  });
  test('a left-hand start says how wide the groove has to be', () => {
    const m = motionOf({ ...ASK, hand: 'left', reliefMm: 5 });
    // three leads, and the shift of the deepest pass is away from the headstock: none
    expect(m.ok ? null : m.problem).toMatchObject({
      code: 'start-not-in-relief',
      figures: { widthMm: expect.closeTo(6.3, 9) },
    });
    expect(motionOf({ ...ASK, hand: 'left', reliefMm: 6.31 }).ok).toBe(true);
  });
});

describe('programs, by a small control of their own', () => {
  const dice = new Dice(77);
  const cases = Array.from({ length: 120 }, (_, i) => i);
  test.each(cases)('program %i falls into one groove a start', () => {
    const unit = dice.of(['mm', 'in'] as const);
    const member = dice.of(['external', 'internal'] as const);
    const hand = dice.of(['right', 'left'] as const);
    const leadMm = dice.of([0.5, 1.25, 2, 25.4 / 8, 25.4 / 11.5, 7]);
    const starts = dice.of([1, 2, 3]);
    const taper = dice.of([0, 1 / 16, -1 / 24]);
    const diameterProgramming = dice.chance(0.5);
    const depths = [0.2, 0.35, 0.5, 0.5];
    const deg = dice.of([0, 29.5, 14]);
    const over: Partial<MotionAsk> = {
      member,
      hand,
      leadMm,
      starts,
      taper,
      reliefMm: 60,
      startLeads: dice.of([1, 2, 3.5]),
      grooveMm: dice.chance(0.5) ? dice.between(-60, 20) : null,
      passes: depths.map((depthMm) => ({ depthMm, axialMm: depthMm * Math.tan((deg * Math.PI) / 180) })),
    };
    const ran = run(
      text(over, { unit, diameterProgramming, word: dice.of(['G33', 'G32'] as const) }),
      diameterProgramming,
    );
    expect(ran.cuts).toHaveLength(depths.length * starts);
    const side = member === 'external' ? 1 : -1;
    const cone = (z: number): number => 30 - side * taper * z;
    ran.cuts.forEach((c, i) => {
      const pass = over.passes?.[Math.floor(i / starts)];
      const start = i % starts;
      if (!pass) throw new Error('no pass');
      // the groove: z at spindle angle 0, shifted back by the pass's own axial feed and the start's share, modulo the lead
      const where = c.fromZ + pass.axialMm - ((hand === 'right' ? 1 : -1) * start * leadMm) / starts;
      const against = over.grooveMm ?? (hand === 'right' ? made(over).start.zMm : made(over).start.zMm);
      const off = (where - against) / leadMm;
      expect(Math.abs(off - Math.round(off)) * leadMm).toBeLessThan(0.001);
      // at the far end the lead in the text is still right within a micrometre
      const turns = Math.abs(c.toZ - c.fromZ) / leadMm;
      expect(Math.abs(c.lead - leadMm) * turns).toBeLessThan(0.001);
      for (const [x, z] of [
        [c.fromX, c.fromZ],
        [c.toX, c.toZ],
      ] as const)
        expect(Math.abs(x - (cone(z) - side * 2 * pass.depthMm)) / 2).toBeLessThan(0.001);
      expect(Math.min(c.fromZ, c.toZ)).toBeGreaterThanOrEqual(-40 - (hand === 'left' ? 60 : 0) - 0.001);
    });
    // along Z only off the surface everywhere; the tool never passes through the bore's far wall
    let x = NaN;
    const zs = [...ran.cuts.flatMap((c) => [c.fromZ, c.toZ])];
    for (const r of ran.rapids) {
      if (r.axis === 'Z') for (const z of zs) expect(side * (x - cone(z))).toBeGreaterThan(2 - 0.002);
      x = r.x;
    }
    expect(ran.last).toMatchObject({ spindle: false });
    expect(ran.last.z).toBeGreaterThan(0);
  });
  test('comments are plain capitals in brackets of their own, and every line has a number', () => {
    const program = text();
    expect(program.startsWith('%\n(TEST OF IT X 2)\nN10 G21 G90\nN20 G95 G97 S200 M3\nN30 G0 X32.\n')).toBe(true);
    expect(program).toMatch(/^[\n -~]*$/);
    expect(program).not.toMatch(/[a-z]/);
  });
});
