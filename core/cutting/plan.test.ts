import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cosDeg, inches, tanDeg } from '../quantity/units.ts';
import { passForce } from './force.ts';
import { planOf, toolOf, type PlanRequest } from './plan.ts';
import { heightAtSectionMm, sectionMm2, widthMm } from './tip.ts';

const request = (over: Partial<PlanRequest> = {}): PlanRequest => ({
  member: 'external',
  surfaceMm: 29.93,
  target: { pitchDiameterMm: 28.7 },
  pitchMm: 2,
  leftHand: false,
  leadingDeg: 30,
  trailingDeg: 30,
  tip: { flatMm: 0.25 },
  infeed: 'flank',
  slideAngleDeg: 29.5,
  rule: 'constant-area',
  stepMm: null,
  passes: 12,
  firstMaxMm: null,
  lastMinMm: null,
  springs: 0,
  stages: null,
  straightLastMm: 0,
  doneMm: 0,
  axialDoneMm: null,
  sideMm: 0,
  grooveMm: 0,
  clearanceMm: 0.5,
  slackMm: 0,
  runOutMm: 0,
  taper: 0,
  lengthMm: null,
  boreClearMm: null,
  dial: null,
  ...over,
});
const made = (over: Partial<PlanRequest> = {}) => {
  const r = planOf(request(over));
  if (!r.ok) throw new Error(`${r.problem.field}: ${r.problem.code}`);
  return r.value;
};
const refused = (over: Partial<PlanRequest>): string | false => {
  const r = planOf(request(over));
  return !r.ok && r.problem.field;
};
/** Root diameter that a thread of nominal d gets, from a blank at d and its basic pitch diameter. */
const root = (d: number, pitchDiameterMm: number, over: Partial<PlanRequest>): number =>
  made({ surfaceMm: d, target: { pitchDiameterMm }, slideAngleDeg: null, infeed: 'plunge', ...over }).tipDiameterMm ??
  0;

describe('depth from the surface really touched', () => {
  // The published roots follow when the tool has the form's own tip.
  test.each<[string, number, number]>([
    [
      'flat P/8, 60 degrees: d - 1.299038P (NBS Handbook H28)',
      root(30, 30 - 2 * 0.649519, { tip: { flatMm: 0.25 } }),
      30 - 2 * 1.299038,
    ],
    [
      'radius H/6, 60 degrees: d - 1.226869P (ISO 68-1)',
      root(30, 30 - 2 * 0.649519, { tip: { radiusMm: 2 * 0.144338 } }),
      30 - 2 * 1.226869,
    ],
    [
      '55 degrees, radius 0.137329P: d - 1.280654P (BS 84)',
      root(30, 30 - 2 * 0.640327, { leadingDeg: 27.5, trailingDeg: 27.5, tip: { radiusMm: 2 * 0.137329 } }),
      30 - 2 * 1.280654,
    ],
    [
      'saw-tooth 30/3, radius 0.12427P: d - 1.735534P (DIN 513)',
      root(40, 40 - 0.75 * 7, { pitchMm: 7, leadingDeg: 30, trailingDeg: 3, tip: { radiusMm: 7 * 0.12427 } }),
      40 - 7 * 1.735534,
    ],
    [
      'buttress 45/7, radius 0.0714P: d - 1.32542P (ASME B1.9)',
      root(40, 40 - 0.6 * 5, { pitchMm: 5, leadingDeg: 45, trailingDeg: 7, tip: { radiusMm: 5 * 0.07141 } }),
      40 - 5 * 1.32542,
    ],
    [
      '3/4-10 Acme, flat 0.0319 in: root 0.630 in (trade check value, common practice)',
      root(inches(0.75), inches(0.7), {
        pitchMm: inches(0.1),
        leadingDeg: 14.5,
        trailingDeg: 14.5,
        tip: { flatMm: inches(0.0319) },
      }),
      inches(0.63),
    ],
  ])('%s', (_, got, wanted) => expect(got).toBeCloseTo(wanted, 2));

  test('a blank 0.15 under takes less depth, and the pitch diameter is the same', () => {
    // the depth was that of the book whatever the blank, and the pitch diameter ended 0.14 mm big
    expect(made().depthMm - made({ surfaceMm: 29.78 }).depthMm).toBeCloseTo(0.075, 12);
    expect(made({ surfaceMm: 29.78 }).tipDiameterMm).toBeCloseTo(made().tipDiameterMm ?? 0, 12);
  });
  test('a nut counts from its bore outwards', () => {
    const nut = made({ member: 'internal', surfaceMm: 27.8, target: { pitchDiameterMm: 28.8 } });
    expect(nut.depthMm).toBeCloseTo(0.5 + (1 - 0.25) / (2 * tanDeg(30)), 12);
    expect(nut.tipDiameterMm).toBeCloseTo(27.8 + 2 * nut.depthMm, 12);
  });
  test('a groove widened sideways is at size earlier: 2 s / (tan a1 + tan a2) on the pitch diameter', () => {
    expect(made().depthMm - made({ sideMm: 0.1 }).depthMm).toBeCloseTo(0.1 / (2 * tanDeg(30)), 12);
  });
});

describe('refused, with what would be right', () => {
  test.each<[string, Partial<PlanRequest>, string]>([
    ['a tip as wide as the groove', { tip: { flatMm: 1 } }, 'tip.flatMm'],
    ['a nose still round at the pitch line', { tip: { radiusMm: 0.7 } }, 'tip.radiusMm'],
    ['a target outside the metal', { target: { pitchDiameterMm: 30 } }, 'targetPitchDiameterMm'],
    ['a nut\u2019s target inside the bore', { member: 'internal' }, 'targetPitchDiameterMm'],
    ['grooves that meet below the surface', { surfaceMm: 30.6 }, 'surfaceMm'],
    ['a tip beyond the axis', { surfaceMm: 2.2, target: { pitchDiameterMm: 0.9 } }, 'targetDepthMm'],
    [
      'square flanks by pitch diameter',
      { leadingDeg: 0, trailingDeg: 0, infeed: 'plunge', tip: { flatMm: 0.9 } },
      'targetPitchDiameterMm',
    ],
    [
      'no room behind the bar',
      { member: 'internal', surfaceMm: 27.8, boreClearMm: 0.4, target: { pitchDiameterMm: 28.8 } },
      'clearanceMm',
    ],
    ['a slide beyond the trailing flank', { slideAngleDeg: 30.5 }, 'slideAngleDeg'],
    ['a taper without its length', { taper: 1 / 16 }, 'lengthMm'],
    ['steps without the step', { rule: 'step' }, 'stepMm'],
    ['passes that are none', { passes: 0 }, 'passes'],
    ['a floor over the cap', { firstMaxMm: 0.1, lastMinMm: 0.2 }, 'lastMinMm'],
    ['no surface and a pitch diameter', { surfaceMm: null }, 'surfaceMm'],
  ])('%s', (_, over, field) => expect(refused(over)).toBe(field));
  test('a square thread is planned by its depth', () => {
    const plan = made({
      leadingDeg: 0,
      trailingDeg: 0,
      infeed: 'plunge',
      tip: { flatMm: 0.9 },
      target: { depthMm: 1 },
      passes: 4,
    });
    expect(plan.passes.map((p) => p.depthMm)).toEqual([0.25, 0.5, 0.75, 1]);
  });
});

describe('withdrawal follows from depth, margin, slack, run-out, taper and dial', () => {
  test('a 2 mm turn with 3 mm of depth: two turns, never one', () => {
    const deep = { pitchMm: 6, surfaceMm: 40, target: { depthMm: 3 }, dial: { turnMm: 2 } } as const;
    expect(made(deep)).toMatchObject({ toolOutMm: 3.5, toolOutTurns: 2 });
    expect(made({ ...deep, slackMm: 0.6 }).toolOutTurns).toBe(3);
    expect(made({ ...deep, runOutMm: 0.1, taper: 1 / 16, lengthMm: 40 }).toolOutMm).toBeCloseTo(
      3 + 0.5 + 0.1 + 1.25,
      12,
    );
  });
  test('in a bore the bar\u2019s back decides whether whole turns are possible', () => {
    const nut = {
      member: 'internal',
      surfaceMm: 27.8,
      target: { pitchDiameterMm: 28.8 },
      dial: { turnMm: 4 },
    } as const;
    expect(made({ ...nut, boreClearMm: 5 }).toolOutTurns).toBe(1);
    expect(made({ ...nut, boreClearMm: 1 }).toolOutTurns).toBeNull();
  });
  test('already deeper than the target: out from there', () => {
    const past = made({ doneMm: 1.5 });
    expect(past.leftMm).toBeLessThan(0);
    expect(past.passes).toEqual([]);
    expect(past.toolOutMm).toBeCloseTo(2, 12);
  });
});

const tips = fc.oneof(
  fc.record({ flatMm: fc.double({ min: 0, max: 0.5, noNaN: true }) }),
  fc.record({ radiusMm: fc.double({ min: 0, max: 0.35, noNaN: true }) }),
);
const anyPlan = fc.record({
  depth: fc.double({ min: 0.3, max: 1.1, noNaN: true }),
  share: fc.double({ min: 0, max: 0.95, noNaN: true }),
  tip: tips,
  infeed: fc.constantFrom('plunge' as const, 'flank' as const, 'alternate' as const, 'modified' as const),
  rule: fc.constantFrom(
    'constant-area' as const,
    'constant-depth' as const,
    'constant-force' as const,
    'step' as const,
  ),
  passes: fc.option(fc.integer({ min: 1, max: 20 }), { nil: null }),
  cap: fc.option(fc.double({ min: 0.05, max: 0.5, noNaN: true }), { nil: null }),
  floor: fc.option(fc.double({ min: 0, max: 0.05, noNaN: true }), { nil: null }),
  flanks: fc.constantFrom([30, 30], [27.5, 27.5], [14.5, 14.5], [45, 7], [3, 30]),
  leftHand: fc.boolean(),
  axial: fc.option(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { nil: null }),
});

describe('only what is left is scheduled', () => {
  test('cap and floor hold from the groove that is there, chips add up, and the last pass ends at the depth', () => {
    fc.assert(
      fc.property(anyPlan, (a) => {
        const [leadingDeg, trailingDeg] = a.flanks as [number, number];
        const q = request({
          target: { depthMm: a.depth },
          surfaceMm: null,
          tip: a.tip,
          infeed: a.infeed,
          slideAngleDeg: null,
          rule: a.rule,
          stepMm: 0.08,
          passes: a.passes,
          firstMaxMm: a.cap,
          lastMinMm: a.floor,
          leadingDeg,
          trailingDeg,
          doneMm: a.depth * a.share,
          leftHand: a.leftHand,
          axialDoneMm: a.axial,
        });
        const r = planOf(q);
        if (!r.ok) {
          expect(['tip.radiusMm', 'tip.flatMm']).toContain(r.problem.field);
          return;
        }
        const tool = toolOf(q);
        const { passes } = r.value;
        let d = q.doneMm;
        let x = a.axial;
        let removed = 0;
        for (const p of passes) {
          const step = p.depthMm - d;
          expect(step).toBeGreaterThan(0);
          expect(step).toBeLessThanOrEqual((a.cap ?? Infinity) + 1e-6);
          const rest = a.depth - q.doneMm;
          if (a.floor !== null && rest >= a.floor && (a.cap === null || a.cap >= 2 * a.floor))
            expect(step).toBeGreaterThanOrEqual(Math.min(a.floor, rest) - 1e-6);
          removed += p.chipMm2;
          // the new outline contains the old one: nothing is thrown sideways, no flank is stepped
          if (x !== null) {
            const shift = (p.axialMm - x) * (a.leftHand ? -1 : 1);
            expect(shift).toBeLessThanOrEqual(step * tanDeg(trailingDeg) + 1e-9);
            expect(-shift).toBeLessThanOrEqual(step * tanDeg(leadingDeg) + 1e-9);
          }
          d = p.depthMm;
          x = p.axialMm;
        }
        expect(d).toBeCloseTo(a.depth, 9);
        expect(removed).toBeCloseTo(sectionMm2(tool, a.depth) - sectionMm2(tool, q.doneMm), 9);
      }),
      { numRuns: 150 },
    );
  });

  test.each([
    [0.9118, 18, 0.43, [14.5, 14.5]],
    [0.7594, 19, null, [3, 30]],
    [1.0151, 20, null, [27.5, 27.5]],
    [0.7038, 17, 0.454, [45, 7]],
  ] as const)(
    'a sharp tip at equal force, %s deep in %s passes: none under the floor, none of nothing',
    (depthMm, passes, cap, flanks) => {
      // from nothing a sharp tip's force grows as the square of the infeed: a step sought by a fixed power leapt to and fro
      const floor = 0.05;
      const plan = made({
        target: { depthMm },
        surfaceMm: null,
        tip: { flatMm: 0 },
        infeed: 'plunge',
        slideAngleDeg: null,
        rule: 'constant-force',
        passes,
        firstMaxMm: cap,
        lastMinMm: floor,
        leadingDeg: flanks[0],
        trailingDeg: flanks[1],
      });
      const steps = plan.passes.map((p, i) => p.depthMm - (plan.passes[i - 1]?.depthMm ?? 0));
      expect(Math.min(...steps)).toBeGreaterThanOrEqual(floor - 1e-6);
      // where the floor does not bind the force is the same in every pass
      const tool = toolOf(request({ tip: { flatMm: 0 }, leadingDeg: flanks[0], trailingDeg: flanks[1] }));
      const free = plan.passes
        .map((p, i) => passForce(tool, p.depthMm, steps[i] ?? 0, 0))
        .filter((_, i) => (steps[i] ?? 0) > floor + 1e-6 && (steps[i] ?? 0) < (cap ?? Infinity) - 1e-6);
      expect(Math.max(...free) / Math.min(...free)).toBeLessThan(1.001);
    },
  );

  test('sixteen cut of twenty-two, ten more asked for: ten smaller passes, no leap', () => {
    // typing 10 passes after 16 of 22 offered the whole rest as one "spring pass"
    const all = made({ passes: 22 });
    const done = all.passes[15]?.depthMm ?? 0;
    const rest = made({ passes: 10, doneMm: done, axialDoneMm: all.passes[15]?.axialMm ?? 0 });
    expect(rest.passes).toHaveLength(10);
    expect(rest.passes.every((p) => !p.spring)).toBe(true);
    const usual = (all.passes[16]?.depthMm ?? 0) - done;
    expect((rest.passes[0]?.depthMm ?? 0) - done).toBeLessThan(usual);
    expect(rest.passes.at(-1)?.depthMm).toBeCloseTo(all.depthMm, 12);
  });
  test('the cap raised in mid-cut changes the rest, not what is there', () => {
    // the card remembered a pass number, so the next reading leapt to four times the cut
    const small = made({ passes: null, firstMaxMm: 0.05 });
    const done = small.passes[5]?.depthMm ?? 0;
    const rest = made({ passes: null, firstMaxMm: 0.25, doneMm: done });
    expect((rest.passes[0]?.depthMm ?? 0) - done).toBeLessThanOrEqual(0.25);
    expect(rest.passes[0]?.depthMm).toBeGreaterThan(done);
  });
  test('an old groove: passes begin at its bottom', () => {
    const recut = made({ grooveMm: 0.9, passes: null });
    expect(recut.passes[0]?.depthMm).toBeGreaterThan(0.9);
    expect(recut.leftMm).toBeCloseTo(recut.depthMm - 0.9, 12);
  });
  test('springs come last with the last pass\u2019s figures', () => {
    const list = made({ springs: 2 }).passes;
    expect(list.slice(-2)).toEqual([
      { ...list[11], chipMm2: 0, spring: true },
      { ...list[11], chipMm2: 0, spring: true },
    ]);
  });
});

describe('infeeds', () => {
  test('on an angled slide travel is depth / cos, shift depth x tan, in the direction of the cut', () => {
    const right = made().passes.at(-1);
    expect(right?.slideMm).toBeCloseTo(made().depthMm / cosDeg(29.5), 12);
    expect(right?.axialMm).toBeCloseTo(made().depthMm * tanDeg(29.5), 12);
    expect(made({ leftHand: true }).passes.at(-1)?.axialMm).toBeCloseTo(-(right?.axialMm ?? 0), 12);
  });
  test('no angle given: half a degree inside the trailing flank; modified one; never below 0', () => {
    expect(made({ slideAngleDeg: null }).feedDeg).toBe(29.5);
    expect(made({ infeed: 'modified' }).feedDeg).toBe(29);
    expect(made({ slideAngleDeg: null, leadingDeg: 45, trailingDeg: 0.2, tip: { flatMm: 0.25 } }).feedDeg).toBe(0);
  });
  test('going on from where the tool stands: travel counts from there', () => {
    const on = made({ doneMm: 0.5, axialDoneMm: 0.2 });
    const last = on.passes.at(-1);
    expect(last?.slideMm).toBeCloseTo((on.depthMm - 0.5) / cosDeg(29.5), 12);
    expect(last?.axialMm).toBeCloseTo(0.2 + (on.depthMm - 0.5) * tanDeg(29.5), 12);
    expect(made({ infeed: 'plunge', doneMm: 0.5, axialDoneMm: 0.2 }).passes.every((p) => p.axialMm === 0.2)).toBe(true);
  });
  test('alternate goes on with the other flank than the last pass cut: planned anew after each, it still takes turns', () => {
    const ask = { infeed: 'alternate', rule: 'step', stepMm: 0.1 } as const;
    const whole = made(ask).passes;
    const on = made({ ...ask, doneMm: 0.1, axialDoneMm: whole[0]?.axialMm ?? NaN, lastFlank: 'leading' }).passes;
    on.slice(0, -1).forEach((p, i) => expect(p.axialMm).toBeCloseTo(whole[i + 1]?.axialMm ?? NaN, 9));
    // after a trailing one it begins with the leading one again, as from nothing
    const again = made({ ...ask, doneMm: 0.1, axialDoneMm: 0, lastFlank: 'trailing' }).passes;
    expect(Math.sign(again[0]?.axialMm ?? 0)).toBe(Math.sign(whole[0]?.axialMm ?? 0));
  });
  test('alternate: first along the trailing flank, then along the leading one', () => {
    const [a, b] = made({ infeed: 'alternate', leadingDeg: 45, trailingDeg: 7, tip: { flatMm: 0.2 } }).passes;
    expect(a?.axialMm).toBeCloseTo((a?.depthMm ?? 0) * tanDeg(7), 12);
    expect((b?.axialMm ?? 0) - (a?.axialMm ?? 0)).toBeCloseTo(
      -((b?.depthMm ?? 0) - (a?.depthMm ?? 0)) * tanDeg(45),
      12,
    );
  });
  test('the last hundredths straight in: the slide holds, the cross slide goes on', () => {
    const plan = made({ straightLastMm: 0.05, passes: 20 });
    const last = plan.passes.at(-1);
    expect(last?.straightMm).toBeCloseTo(0.05, 12);
    expect(last?.slideMm).toBeCloseTo((plan.depthMm - 0.05) / cosDeg(29.5), 12);
  });
  test('equal force: the law is the same in every pass, and chips grow fewer than by equal area', () => {
    const plan = made({ rule: 'constant-force', infeed: 'plunge', passes: 14 });
    const tool = toolOf(request());
    const forces = plan.passes.map((p, i) =>
      passForce(tool, p.depthMm, p.depthMm - (plan.passes[i - 1]?.depthMm ?? 0), 0),
    );
    for (const f of forces.slice(0, -1)) expect(f / (forces[0] ?? 1)).toBeCloseTo(1, 4);
    expect(plan.passes[0]?.chipMm2 ?? 0).toBeGreaterThan(plan.passes.at(-1)?.chipMm2 ?? 0);
  });
  test('constant area lets the force rise by about a half over fourteen passes (general cutting mechanics)', () => {
    const plan = made({ passes: 14, tip: { flatMm: 0.25 } });
    const tool = toolOf(request());
    const f = plan.passes.map((p, i) =>
      passForce(tool, p.depthMm, p.depthMm - (plan.passes[i - 1]?.depthMm ?? 0), 29.5),
    );
    expect((f.at(-1) ?? 0) / (f[0] ?? 1)).toBeGreaterThan(1.3);
    expect((f.at(-1) ?? 0) / (f[0] ?? 1)).toBeLessThan(1.9);
  });
  test('stages: each reaches its depth, springs where they are asked for', () => {
    const plan = made({
      passes: null,
      stages: [
        { upToMm: 0.8, rule: 'constant-area', firstMaxMm: 0.2, lastMinMm: null, springs: 1 },
        { upToMm: 9, rule: 'step', stepMm: 0.05, firstMaxMm: null, lastMinMm: null, springs: 2 },
      ],
    });
    const first = plan.passes.filter((p) => p.stage === 0);
    expect(first.at(-1)).toMatchObject({ spring: true, depthMm: 0.8 });
    expect(plan.passes.filter((p) => p.spring)).toHaveLength(3);
    expect(plan.passes.at(-1)?.depthMm).toBeCloseTo(plan.depthMm, 12);
  });
});

test('the section of a round-nosed tool is what its widths add up to', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 2, noNaN: true }),
      fc.double({ min: 0.01, max: 1, noNaN: true }),
      fc.constantFrom([30, 30], [27.5, 27.5], [45, 7]),
      (height, radiusMm, flanks) => {
        const tool = { leadingDeg: flanks[0] ?? 0, trailingDeg: flanks[1] ?? 0, tip: { radiusMm } };
        const n = 4000;
        let sum = 0;
        for (let i = 0; i < n; i += 1) sum += (widthMm(tool, (height * (i + 0.5)) / n) * height) / n;
        expect(sectionMm2(tool, height) / sum).toBeCloseTo(1, 3);
        expect(heightAtSectionMm(tool, sectionMm2(tool, height))).toBeCloseTo(height, 9);
      },
    ),
    { numRuns: 40 },
  );
});

describe('a cap or a step that makes thousands of passes', () => {
  const deep = request({ target: { depthMm: 1.2 }, doneMm: 0, grooveMm: 0, stages: null });
  test.each([
    ['firstMaxMm', { rule: 'constant-area', firstMaxMm: 1e-6, stepMm: null }],
    ['firstMaxMm', { rule: 'constant-force', firstMaxMm: 0.002, stepMm: null }],
    ['stepMm', { rule: 'step', firstMaxMm: null, stepMm: 0.001 }],
    ['firstMaxMm', { rule: 'step', firstMaxMm: 0.001, stepMm: 0.05 }],
  ] as const)('is refused at %s, with the least that would do', (field, over) => {
    const p = planOf({ ...deep, ...over, lastMinMm: null });
    expect(p.ok ? null : [p.problem.field, p.problem.code, p.problem.figures['leastMm']]).toEqual([
      field,
      'too-many-passes',
      0.003,
    ]);
  });
  test('what is refused for one would do: the least, and no pass takes more', () => {
    for (const rule of ['step', 'constant-area', 'constant-depth', 'constant-force'] as const) {
      const p = planOf({ ...deep, rule, firstMaxMm: 0.003, stepMm: 0.003, lastMinMm: null });
      if (!p.ok) throw new Error(p.problem.code);
      const depths = [0, ...p.value.passes.filter((x) => !x.spring).map((x) => x.depthMm)];
      expect(Math.max(...depths.slice(1).map((d, i) => d - (depths[i] ?? 0)))).toBeLessThan(0.0031);
    }
  });
});
