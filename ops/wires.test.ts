import { describe, expect, test } from '@jest/globals';
import { wiresOp } from './wires.ts';

type Reply = { readonly ok: boolean; readonly value?: Record<string, number | string | Record<string, number>> };
const ask = (q: object): Record<string, number> => {
  const r = wiresOp.run(q) as unknown as Reply;
  if (!r.ok || !r.value) throw new Error(JSON.stringify(r));
  return r.value as Record<string, number>;
};
/** 1 1/2 - 5 Acme of two starts, pitch diameter 1.4 in. */
const ACME = {
  leadingHalfAngleDeg: 14.5,
  trailingHalfAngleDeg: 14.5,
  pitchMm: 5.08,
  starts: 2,
  pitchDiameterMm: 35.56,
};

describe('the method that was used is named', () => {
  test('exact when none was asked for; the flat formula is hundredths off on a two-start Acme', () => {
    const plain = ask(ACME);
    expect(plain['method']).toBe('exact');
    expect(plain['overWiresMm']).toBe(ask({ ...ACME, method: 'exact' })['overWiresMm']);
    const flat = ask({ ...ACME, method: 'flat' });
    expect(flat['method']).toBe('flat');
    expect((plain['overWiresMm'] ?? 0) - (flat['overWiresMm'] ?? 0)).toBeGreaterThan(0.03);
  });
  test('and back again: what is read over wires gives the pitch diameter that it came from', () => {
    const { pitchDiameterMm, ...form } = ACME;
    const back = ask({ ...form, overWiresMm: ask(ACME)['overWiresMm'] });
    expect(back['pitchDiameterMm']).toBeCloseTo(pitchDiameterMm, 5);
  });
  test('between balls likewise', () => {
    const nut = {
      leadingHalfAngleDeg: 30,
      trailingHalfAngleDeg: 30,
      pitchMm: 3,
      member: 'internal',
      pitchDiameterMm: 28.05,
    };
    expect(ask(nut)['method']).toBe('exact');
  });
});

describe('the best wire is one that can be used', () => {
  // 30/3: at the pitch line the wire lies under the crests; 45/7 and 60 degrees take it
  test.each([
    [30, 3, 6],
    [45, 7, 5],
    [30, 30, 1.5],
  ])('%f and %f degrees, pitch %f', (leadingHalfAngleDeg, trailingHalfAngleDeg, pitchMm) => {
    const r = ask({ leadingHalfAngleDeg, trailingHalfAngleDeg, pitchMm, pitchDiameterMm: 40 });
    const range = r['usableWireMm'] as unknown as { readonly min: number; readonly max: number };
    expect(r['bestWireMm']).toBeGreaterThanOrEqual(range.min - 1e-6);
    expect(r['bestWireMm']).toBeLessThanOrEqual(range.max + 1e-6);
    expect(r['wireMm']).toBeCloseTo(r['bestWireMm'] ?? 0, 5);
    const at = r['pitchLineWireMm'] ?? 0;
    // nearest to the one at the pitch line: that one itself where it can be used
    expect(r['bestWireMm']).toBeCloseTo(Math.min(range.max, Math.max(range.min, at)), 5);
  });
});
