import { describe, expect, test } from '@jest/globals';
import { wearProfile } from '../evidence/wearMap.ts';
import type { Quantity } from '../evidence/evidence.ts';
import { kindOf } from './kinds.ts';
import type { Known, Slip } from './slips.ts';

const NOTHING: Known = {
  part: 'external',
  majorMm: null,
  minorMm: null,
  pitchMm: null,
  includedDeg: null,
  origin: null,
  system: 'mm',
};
const known: Known = { ...NOTHING, majorMm: 31.7, pitchMm: 3.63 };
const findSlip = (
  q: Quantity,
  value: number,
  of: Known,
  spanMm: number | null = null,
  text = String(value),
): Slip | null => kindOf(q).slip?.(value, of, spanMm, text) ?? null;

describe('slips are caught as they are typed', () => {
  test.each([
    ['inches typed as millimetres', 'majorDiameter', 1.247, 'inch-for-mm', 31.674],
    ['millimetres typed as inches', 'majorDiameter', 31.6 * 25.4, 'mm-for-inch', 31.6],
    ['a decimal place out', 'majorDiameter', 3.165, 'decimal', 31.65],
    ['a radius', 'majorDiameter', 15.83, 'radius', 31.66],
    ['root as a radius', 'minorDiameter', 13.6, 'radius', 27.2],
  ] as const)('%s', (_, q, value, kind, instead) => {
    const slip = findSlip(q, value, known);
    expect(slip?.kind).toBe(kind);
    expect(slip?.instead).toBeCloseTo(instead, 2);
  });
  test('a root larger than the crest', () => {
    expect(findSlip('minorDiameter', 33, known)).toMatchObject({ kind: 'crossed', instead: null });
  });
  test('half the angle, alone and against one already read', () => {
    expect(findSlip('flankAngle', 27.5, { ...known, includedDeg: 55 })).toMatchObject({
      kind: 'half-angle',
      instead: 55,
    });
    expect(findSlip('flankAngle', 23.75, known)).toMatchObject({ kind: 'half-angle', instead: 47.5 });
    expect(findSlip('flankAngle', 29, known)).toBeNull();
  });
  test('the whole angle given for a flank', () => {
    expect(findSlip('leadingFlank', 60, known)).toMatchObject({ kind: 'whole-angle', instead: 30 });
    expect(findSlip('trailingFlank', 29, { ...known, includedDeg: 29 })).toMatchObject({ instead: 14.5 });
    expect(findSlip('leadingFlank', 45, known)).toBeNull();
    expect(findSlip('leadingFlank', 30, known)).toBeNull();
  });
  test('half of 55 by itself is nearer to a usual form than to the whole of any', () => {
    expect(findSlip('flankAngle', 27.5, known)).toMatchObject({ kind: 'half-angle', instead: 55 });
    for (const whole of [60, 55, 47.5, 30, 29, 45]) expect(findSlip('flankAngle', whole, known)).toBeNull();
  });
  test('a bare small number on a part of an inch country, and a screw thinner than a match', () => {
    expect(findSlip('majorDiameter', 1.494, { ...NOTHING, origin: 'british' })).toMatchObject({
      kind: 'inch-for-mm',
      by: 'origin',
      instead: 1.494 * 25.4,
    });
    expect(findSlip('majorDiameter', 1.524, { ...NOTHING, system: 'in' }, null, '0.06 in')).toMatchObject({
      by: 'alone',
      instead: 15.24,
    });
    expect(findSlip('majorDiameter', 1.494 * 25.4, { ...NOTHING, origin: 'british' }, null, '1.494 in')).toBeNull();
    expect(findSlip('majorDiameter', 4.76, { ...NOTHING, origin: 'metric' })).toBeNull();
  });
  test('a taper that does not say which is asked about; that of pipes is not', () => {
    expect(findSlip('taper', 1 / 6, known, null, '1 in 6')).toMatchObject({ kind: 'taper-a-side', instead: 1 / 3 });
    expect(findSlip('taper', 1 / 6, known, null, '1 in 6 on diameter')).toBeNull();
    expect(findSlip('taper', 1 / 16, known, null, '1:16')).toBeNull();
    expect(findSlip('taper', 0.0625, known, null, '33.2 to 31.8 over 22.4')).toBeNull();
  });
  test('both end crests counted', () => {
    expect(findSlip('crestCount', 8, known, 25.4)).toMatchObject({ kind: 'both-ends', instead: 7 });
  });
  test('depth: both sides together, inches for millimetres, a decimal place', () => {
    // a 7 tpi Whitworth thread is 0.640327 P deep: 2.323 mm (BS 84)
    expect(findSlip('depth', 4.65, known)).toMatchObject({ kind: 'both-sides', instead: 2.325 });
    expect(findSlip('depth', 0.0915, known)?.instead).toBeCloseTo(2.324, 2);
    expect(findSlip('depth', 23.2, known)?.instead).toBeCloseTo(2.32, 2);
    expect(findSlip('depth', 2.3, known)).toBeNull();
    expect(findSlip('depth', 40, { ...known, pitchMm: null })).toBeNull();
  });
  test('over wires: 1 1/4-7 BSW over 0.081 in wires reads 1.2777 in (BS 84, NBS Handbook H28)', () => {
    const bsw = { ...known, majorMm: 31.75, includedDeg: 55 };
    const wire = 0.081 * 25.4;
    expect(findSlip('overWires', 1.2777 * 25.4, bsw, wire)).toBeNull();
    expect(findSlip('overWires', 1.2777, bsw, wire)).toMatchObject({ kind: 'inch-for-mm' });
    expect(findSlip('overWires', 3.245, bsw, wire)).toMatchObject({ kind: 'decimal' });
    expect(findSlip('overWires', 1.2777, { ...bsw, majorMm: null }, wire)).toBeNull();
  });
  test('credible readings are left alone, and so is a first one', () => {
    expect(findSlip('majorDiameter', 31.55, known)).toBeNull();
    expect(findSlip('minorDiameter', 27.1, known)).toBeNull();
    expect(findSlip('crestCount', 7, known, 25.4)).toBeNull();
    expect(findSlip('majorDiameter', 12, NOTHING)).toBeNull();
  });
});

describe('wear map', () => {
  const spots = [
    [10, 37.9],
    [60, 37.88],
    [150, 37.66],
    [260, 37.54],
    [380, 37.74],
  ].map(([positionMm = 0, diameterMm = 0]) => ({ positionMm, diameterMm }));
  test('the unworn stretch is proposed, the travel used is seen', () => {
    expect(wearProfile(spots, 'external', null)).toMatchObject({
      unworn: { fromMm: 10, toMm: 60 },
      referenceMm: 37.89,
      used: { fromMm: 150, toMm: 380 },
      worstMm: expect.closeTo(0.35, 6) as unknown,
    });
  });
  test('a stretch chosen by hand is taken', () => {
    expect(wearProfile(spots, 'external', { fromMm: 380, toMm: 400 })).toMatchObject({
      referenceMm: 37.74,
      used: { fromMm: 150, toMm: 260 },
    });
  });
  test('a nut wears the other way', () => {
    const nut = wearProfile(
      [
        { positionMm: 0, diameterMm: 26.2 },
        { positionMm: 20, diameterMm: 26.6 },
      ],
      'internal',
      null,
    );
    expect(nut).toMatchObject({ unworn: { fromMm: 0, toMm: 0 }, used: { fromMm: 20, toMm: 20 } });
  });
  test('one spot is no map', () => {
    expect(wearProfile(spots.slice(0, 1), 'external', null)).toBeNull();
  });
});
