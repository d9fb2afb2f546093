import { expect, test } from '@jest/globals';
import type { Evidence } from '../evidence/evidence.ts';
import { deciding, residuals } from './deciding.ts';
import { rank } from './rank.ts';

const evidence: Evidence[] = [
  { quantity: 'majorDiameter', valueMm: 9.4, wear: 'unknown' },
  { quantity: 'crestCount', crests: 16, spanMm: 25.4 },
  { quantity: 'flankAngle', valueDeg: 55, uncertaintyDeg: 1 },
];
const of = (designation: string, list: readonly Evidence[]) => {
  const found = rank({
    part: 'external',
    evidence: list,
    context: { origin: null, use: null },
    most: 60,
  }).candidates.find((c) => c.thread.designation === designation);
  if (!found) throw new Error(designation);
  return found;
};

test('of 3/8-16 BSW and UNC the angle decides, and by far (BS 84: 55 degrees; ASME B1.1: 60)', () => {
  const [bsw, unc] = [of('3/8-16 BSW', evidence), of('3/8-16 UNC', evidence.slice(0, 2))];
  const d = deciding(bsw, unc, evidence, 'external');
  expect(d?.reason).toEqual({ kind: 'angle', readDeg: 55, expectedDeg: 60 });
  expect(d?.times).toBeGreaterThan(100);
  // without it nothing that was read tells them apart
  expect(deciding(bsw, unc, evidence.slice(0, 2), 'external')).toBeNull();
});

test('residuals: only where the two differ, in the unit of the reading, with their signs', () => {
  const [bsw, unc] = [of('3/8-16 BSW', evidence), of('3/8-16 UNC', evidence.slice(0, 2))];
  const rows = residuals(bsw, unc, evidence, 'external', 4);
  expect(rows.map((r) => [r.reason.kind, r.unit, r.off])).toEqual([['angle', 'deg', [0, -5]]]);
  // M8 and 5/16: crest and count differ both
  const short: Evidence[] = [
    { quantity: 'majorDiameter', valueMm: 7.85, wear: 'unknown' },
    { quantity: 'crestCount', crests: 8, spanMm: 10 },
  ];
  const two = residuals(of('M8', short), of('5/16-20 UN', short), short, 'external', 4);
  expect(two.map((r) => r.unit).toSorted()).toEqual(['count', 'mm']);
  const crest = two.find((r) => r.unit === 'mm');
  expect(crest?.off[0]).toBeCloseTo(-0.15, 6);
  // 5/16 in is 7.9375 mm
  expect(crest?.off[1]).toBeCloseTo(7.85 - 7.9375, 6);
});
