import { describe, expect, test } from '@jest/globals';
import { demo, m30, named } from '../../app/testing/bench.ts';
import { passRowsOf } from './passRows.ts';

const rowsOf = (b: {
  readonly job: Parameters<typeof passRowsOf>[0];
  readonly shop: Parameters<typeof passRowsOf>[1];
}) => {
  const rows = passRowsOf(b.job, b.shop);
  if (!rows?.ok) throw new Error(JSON.stringify(rows));
  return rows.value;
};

describe('the passes as a card has them', () => {
  test('before the lathe is gone to they count from the size that Fit wants, and say that nobody measured it', () => {
    const rows = rowsOf(named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-bess' }));
    expect(rows).toMatchObject({ measured: false, start: 1 });
    // ISO 965-1, M30x2 6g: major diameter 29.682 to 29.962
    expect(rows.surfaceMm).toBeGreaterThan(29.68);
    expect(rows.surfaceMm).toBeLessThan(29.963);
    expect(rows.rows.every((r) => !r.done && r.setting !== null)).toBe(true);
  });
  test('what is cut comes from the ledger, what is to come is what the card at the machine says', () => {
    const b = m30().passes(3);
    const { rows, measured } = rowsOf(b);
    expect(measured).toBe(true);
    expect(rows.slice(0, 3).map((r) => r.done)).toEqual([true, true, true]);
    const cuts = b.job.events.flatMap((e) => (e.kind === 'cut' ? [e.depthMm] : []));
    expect(rows.slice(0, 3).map((r) => r.depthMm)).toEqual(cuts);
    const next = rows.find((r) => !r.done);
    expect(next).toMatchObject({ n: 4 });
    expect(next?.setting?.shown).toBe(b.card.settings[0]?.shown);
    expect(next?.depthMm).toBeCloseTo(b.card.depthMm ?? NaN, 9);
  });
  test('no pass is shallower than the one before, and what they take adds up to the depth', () => {
    for (const b of [m30(), demo('demo-sluice'), named('Tr28x5').do({ do: 'chooseLathe', lathe: 'lathe-bess' })]) {
      const { rows } = rowsOf(b);
      const depths = rows.map((r) => r.depthMm);
      expect(depths).toEqual(depths.toSorted((x, y) => x - y));
      const sum = rows.reduce((s, r) => s + r.takesMm, 0);
      expect(sum).toBeCloseTo(depths.at(-1) ?? NaN, 6);
    }
  });
  test('without a thread there are none', () => {
    expect(passRowsOf(demo('demo-windlass').job, demo('demo-windlass').shop)).toBeNull();
  });
});
