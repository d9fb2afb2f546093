import { known } from '../../app/testing/known.ts';
import { describe, expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import { parseDesignation } from './designation.ts';
import { CATALOGUE } from './catalogue.ts';
import { threadOfRow } from './thread.ts';
import { flat, limitsNamed as limits } from '../../app/testing/printed.ts';
import { classesOf, limitsOf } from './limits.ts';
import { engagementGroup, td1Grade6, td2Grade6, td6 } from './iso/limits.ts';
import { nptGauging } from './pipe/gauging.ts';
import { r40Step } from './iso/r40.ts';

describe('ISO 965-1, corners', () => {
  test('formulae reproduce the printed grade 6 where they should, and the known exceptions stand', () => {
    expect([td6(1.5), td6(4), td1Grade6(2.5), td1Grade6(1.5)]).toEqual([236, 475, 450, 300]);
    // Td2(6) as printed, by diameter step and pitch
    for (const [d, p, t] of [
      [1.2, 0.25, 53],
      [2, 0.4, 67],
      [4, 0.7, 90],
      [10, 1.5, 132],
      [10, 1, 112],
      [16, 2, 160],
      [20, 2.5, 170],
      [30, 3.5, 212],
      [64, 6, 280],
      [100, 6, 300],
      [200, 8, 355],
    ] as const)
      expect(td2Grade6(d, p)).toBe(t);
    // finest and coarsest grades of M10: Td2 3..9 and TD2 4..8
    expect([-12, -8, -4, 0, 4, 8, 12].map((s) => r40Step(132, s))).toEqual([67, 85, 106, 132, 170, 212, 265]);
    expect([-3, 1, 5, 9, 13].map((s) => r40Step(132, s))).toEqual([112, 140, 180, 224, 280]);
  });
  test('positions: 4h has no deviation, 6e the largest, G lifts the nut', () => {
    expect(flat(limits('M10', '4h').external).slice(0, 4)).toEqual([10, 9.85, 9.026, 8.941]);
    expect(limits('M10', '6e').external?.pitch.max).toBe(8.959);
    expect(limits('M10', '6G').internal?.pitch.min).toBe(9.058);
    expect(limits('M10', '5g6g').external?.pitch.min).toBe(8.888);
  });
  test('diameter steps include their upper end', () => {
    expect(td2Grade6(11.2, 1.5)).toBe(132);
    expect(td2Grade6(11.3, 1.5)).toBe(140);
    expect(td2Grade6(400, 6)).toBeNull();
  });
  test('engagement groups (M10: N from 5 to 15 mm as printed)', () => {
    expect([4.5, 10, 16].map((l) => engagementGroup(10, 1.5, l))).toEqual(['S', 'N', 'L']);
  });
});

test('ASME B1.1: a longer engagement widens the pitch tolerance', () => {
  const [short, long] = [limits('1/2-13 UNC', '2A', 6), limits('1/2-13 UNC', '2A', 40)];
  expect(known(long.external?.pitch.min)).toBeLessThan(known(short.external?.pitch.min));
});

test('ASME B1.5, 1-5 nut: pitch 0.9000-0.9194, minor 0.8000-0.8100, major from 1.0200', () => {
  expect(flat(limits('1-5 Acme', '2G').internal, 25.4)).toEqual([1.04, 1.02, 0.9194, 0.9, 0.81, 0.8]);
  expect(limits('1-5 Acme', '3G').external?.pitch.max).toBeCloseTo(25.4 * 0.894, 5);
});

test('ISO 2903, Tr 40x7: 7e 36.375-36.020, major from 39.575; 7H 36.500-36.975, minor to 33.560', () => {
  const screw = limits('Tr 40x7', '7e').external;
  expect(flat(screw)).toEqual([40, 39.575, 36.375, 36.02, 32, 31.431]);
  expect(flat(limits('Tr 40x7', '7H').internal)).toEqual([null, 41, 36.975, 36.5, 33.56, 33]);
});

test('BS 84: 1/2 BSW medium by its own formula, allowance only up to 3/4 in', () => {
  // T = 0.002 x 0.5^(1/3) + 0.003 x sqrt(0.5) + 0.005 / sqrt(12) = 0.0051526 in
  const half = flat(limits('1/2 BSW', 'medium').external, 25.4);
  expect(half[2]).toBeCloseTo(0.4466 - 0.0015, 4);
  expect(half[3]).toBeCloseTo(0.4466 - 0.0015 - 0.0052, 4);
  expect(flat(limits('1 BSW', 'medium').external, 25.4)[2]).toBeCloseTo(0.92, 4);
  expect(flat(limits('1/2 BSW', 'close').external, 25.4)[2]).toBeCloseTo(0.4466, 4);
  expect(flat(limits('1/2 BSW', 'normal').internal, 25.4).slice(4)).toEqual([0.4169, 0.3932]);
  expect(limits('1/2 BSW', 'normal').external).toBeUndefined();
});

test('BS 93: what it gives is marked as from memory', () => {
  for (const size of ['0 BA', '2 BA', '6 BA', '12 BA'])
    expect(limits(size, 'normal').notes).toEqual([expect.objectContaining({ code: 'from-memory' })]);
});

test('ASME B1.20.1: E1 and L2 of 1/2-14 are 0.77843 and 0.5337 in, E0 of 2-11.5 is 2.26902', () => {
  const gauging = (outsideIn: number, tpi: number) => {
    const g = nptGauging(outsideIn * 25.4, 25.4 / tpi);
    if (!g) throw new Error(`no size of ${outsideIn} in at ${tpi} tpi`);
    return g;
  };
  expect(gauging(0.84, 14).e1Mm / 25.4).toBeCloseTo(0.77843, 5);
  expect(gauging(0.84, 14).l2Mm / 25.4).toBeCloseTo(0.5337, 4);
  expect(gauging(2.375, 11.5).e0Mm / 25.4).toBeCloseTo(2.26902, 5);
  expect(nptGauging(0.84 * 25.4, 25.4 / 13)).toBeNull();
});

describe('laws over the whole catalogue', () => {
  type Diameter = 'major' | 'pitch' | 'minor';
  const DIAMETERS: readonly Diameter[] = ['major', 'pitch', 'minor'];
  /** Of each row that has limits: those of every class, by class. */
  const all = CATALOGUE.map((row) => {
    const thread = threadOfRow(row);
    const classes = classesOf(thread);
    const of = (names: readonly string[], side: 'external' | 'internal') =>
      names.flatMap((cls) => {
        const l = limitsOf(thread, cls, null);
        // ISO 965-1 prints no deviation e or f for the finest pitches
        if (!l.ok) expect(['6e', '6f']).toContain(cls);
        const member = l.ok ? l.value[side] : undefined;
        if (l.ok && !member) throw new Error(`${row.designation} ${cls}: no limits ${side}`);
        return member ? [{ cls, member }] : [];
      });
    return { row, external: of(classes.external, 'external'), internal: of(classes.internal, 'internal') };
  }).filter((r) => r.external.length > 0);

  test('most rows have limits, those of every standard that gives them among them', () => {
    const families = new Set(all.map((r) => r.row.family));
    expect([...families].sort()).toEqual(
      ['Acme', 'BA', 'BSF', 'BSW', 'G', 'M', 'NPT', 'StubAcme', 'Tr', 'UN', 'UNC', 'UNEF', 'UNF', 'UNS'].sort(),
    );
    expect(all.length).toBeGreaterThan(800);
  });
  test('of every class the largest is over the least, the pitch diameter has both, and lies under the major diameter', () => {
    for (const { row, external, internal } of all)
      for (const { cls, member } of [...external, ...internal]) {
        const where = `${row.designation} ${cls}`;
        for (const d of DIAMETERS) {
          const { min, max } = member[d];
          if (min !== null && max !== null && max <= min) throw new Error(`${where}: ${d} from ${min} to ${max}`);
        }
        if (known(member.pitch.max) >= known(member.major.min)) throw new Error(`${where}: pitch diameter over major`);
        if (known(member.pitch.min) <= known(member.minor.max ?? member.minor.min))
          throw new Error(`${where}: minor over pitch`);
      }
  });
  test('the largest screw of any class goes into the smallest nut of any class, at every diameter', () => {
    let pairs = 0;
    for (const { row, external, internal } of all) {
      // a taper thread is gauged by how far it goes in: screw and nut are given at different places
      if (row.family === 'NPT') continue;
      for (const screw of external)
        for (const nut of internal) {
          pairs += 1;
          for (const d of DIAMETERS) {
            const [screwMax, nutMin] = [known(screw.member[d].max), known(nut.member[d].min)];
            // both are rounded to the last printed place
            if (screwMax > nutMin + 1e-6)
              throw new Error(`${row.designation} ${screw.cls}/${nut.cls}: ${d} ${screwMax} in ${nutMin}`);
          }
        }
    }
    expect(pairs).toBeGreaterThan(10_000);
  });
  test.each([
    ['M10', '6x'],
    ['M10', '2A'],
    ['1/2-13 UNC', '6g'],
    ['1/2 BSW', '2A'],
    ['G 1/2', 'C'],
    ['Tr 40x7', '6g'],
    ['S 40x7', '7e'],
  ])('%s has no class %s, and says which there are', (d, cls) => {
    const t = parseDesignation(d);
    const l = t.ok ? limitsOf(t.value.thread, cls, null) : t;
    expect(!l.ok && problemText(l.problem, 'mm').right).toBeTruthy();
  });
});

describe('a size is a field, never read back out of how it is written', () => {
  test.each([
    ['1/2-14 NPT', 'standard'],
    ['4 BA', 'normal'],
  ])('%s has the same limits left hand, and by any other name', (text, cls) => {
    const own = parseDesignation(text);
    if (!own.ok) throw new Error(own.problem.code);
    const limits = limitsOf(own.value.thread, cls, null);
    expect(limits.ok).toBe(true);
    expect(limitsOf({ ...own.value.thread, designation: `${text} LH`, leftHand: true }, cls, null)).toEqual(limits);
    expect(limitsOf({ ...own.value.thread, designation: 'as on the drawing' }, cls, null)).toEqual(limits);
  });
});

test('a special in the stub form has the one class of ASME B1.8, not those of the full form', () => {
  const read = parseDesignation('1-5 Stub Acme');
  if (!read.ok) throw new Error(read.problem.code);
  const special = { ...read.value.thread, family: 'Special' as const, majorMm: 26 };
  expect(classesOf(special).external).toEqual(['2G']);
  expect(limitsOf(special, '3G', null).ok).toBe(false);
  const l = limitsOf(special, '2G', null);
  expect(l.ok && l.value.source).toBe('ASME B1.8');
});
