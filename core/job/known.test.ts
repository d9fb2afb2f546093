import { describe, expect, test } from '@jest/globals';
import type { JobDraft } from './schema.ts';
import { changedBy } from '../../app/testing/bench.ts';
import { demoJobs } from '../../demo/index.ts';
import { wearProfile } from '../evidence/wearMap.ts';
import { evidenceOf, pitchOfCount } from './evidence.ts';
import { knownOf, slipIn, wearSeries } from './known.ts';

const sluice = demoJobs().find((j) => j.id === 'demo-sluice');
if (!sluice) throw new Error('demo');

describe('readings along the part', () => {
  test('crests and measurements over wires are kept apart, each in its own series', () => {
    const series = wearSeries(sluice);
    expect(series.map((s) => [s.quantity, s.wire, s.spots.length])).toEqual([
      ['majorDiameter', null, 5],
      ['overWires', '0.1476 in', 3],
    ]);
  });
  test('wear of the flanks is seen over the wires where the crest shows it too', () => {
    const [crest, wires] = wearSeries(sluice).map((s) => wearProfile(s.spots, 'external', null));
    expect(crest?.used?.fromMm).toBe(150);
    expect(wires?.used).toEqual({ fromMm: 250, toMm: 380 });
    // 1.5385 less 1.5255 in
    expect(wires?.worstMm).toBeCloseTo(0.013 * 25.4, 6);
  });
  test('wires of two sizes are never compared', () => {
    const other = changedBy(sluice, (d) => {
      const last = d.readings.findLast((r) => r.quantity === 'overWires');
      if (last) last.span = { text: '0.15 in', mm: 3.81 };
    });
    expect(wearSeries(other).filter((s) => s.quantity === 'overWires')).toHaveLength(2);
  });
  test('of a nut the bore comes first; its mate\u2019s readings are not the part\u2019s', () => {
    const nut = structuredClone(sluice) as JobDraft;
    nut.intake.cameIn = 'nut';
    nut.readings = nut.readings.map((r, i) => ({
      ...r,
      quantity: i === 0 ? 'minorDiameter' : r.quantity,
      member: i === 1 ? 'mate' : r.member,
    }));
    expect(wearSeries(nut)[0]?.quantity).toBe('minorDiameter');
    expect(wearSeries(nut).find((s) => s.quantity === 'majorDiameter')?.spots).toHaveLength(3);
  });
});

describe('the pitch that a count gives', () => {
  const [reading] = sluice.readings;
  if (!reading) throw new Error('demo');
  const count = { ...reading, quantity: 'crestCount' as const, value: 7, span: { text: '8.75 mm', mm: 8.75 } };
  test('against a rule it is sure to a fifth of a crest, with a caliper from crest to crest to the jaws', () => {
    expect(pitchOfCount({ ...count, uncertainty: null })).toEqual({
      mm: 1.25,
      sigmaMm: expect.closeTo((0.2 * 1.25) / 7, 9) as unknown,
    });
    const spanned = pitchOfCount({ ...count, uncertainty: 0.02 });
    expect(spanned?.sigmaMm).toBeCloseTo(Math.hypot(0.02 * Math.SQRT2, 0.04) / 7, 9);
    expect(evidenceOf({ ...count, uncertainty: 0.02 }, 'external')).toMatchObject({
      spanUncertaintyMm: expect.closeTo(7 * (spanned?.sigmaMm ?? NaN), 9) as unknown,
    });
    expect(pitchOfCount({ ...count, span: null })).toBeNull();
    expect(evidenceOf({ ...count, span: null }, 'external')).toBeNull();
    expect(evidenceOf({ ...count, quantity: 'overWires', span: null }, 'external')).toBeNull();
    expect(evidenceOf({ ...count, uncertainty: 0.25 }, 'external')).not.toHaveProperty('spanUncertaintyMm');
  });
});

describe('what is known so far', () => {
  test('the middle diameter and the last count judge the next reading', () => {
    const known = knownOf(sluice, 'mm');
    expect(known.majorMm).toBeCloseTo(1.486 * 25.4, 3);
    expect(known.pitchMm).toBeCloseTo(25.4 / 3.5, 6);
    expect(known.includedDeg).toBe(29);
    expect(slipIn(sluice, 'majorDiameter', 1.48, null, '1.48', 'mm')).toMatchObject({ kind: 'inch-for-mm' });
    expect(slipIn(sluice, 'flankAngle', 14.5, null, '14.5', 'mm')).toMatchObject({ kind: 'half-angle', instead: 29 });
  });
  test('a leaf that fits speaks for the pitch before a count does', () => {
    const job = structuredClone(sluice) as JobDraft;
    const [first] = job.readings;
    if (first) job.readings.push({ ...first, id: 'leaf', quantity: 'pitchLeaf', value: 7, leaf: 'fits', span: null });
    expect(knownOf(job, 'mm').pitchMm).toBe(7);
  });
});
