import { describe, expect, test } from '@jest/globals';
import { exact } from '../../quantity/rational.ts';
import { readChart, tiedLevers, type ChartRow } from './chart.ts';

// An invented gearbox on a leadscrew of 8 threads an inch: cone 1, 2, 3 = 1, 8/9, 4/5; range A, B = 1, 1/2.
const SCREW = exact('127/40');
const row = (cone: string, range: string, lead: string, drivers = [24], driven = [24]): ChartRow => ({
  levers: { cone, range },
  drivers,
  driven,
  lead: exact(lead),
});
const tpi = (n: number): string => `127/${5 * n}`;
const read = (rows: readonly ChartRow[]) => readChart(SCREW, exact('1'), rows, []);

describe('what the rows of a chart leave open', () => {
  test('nothing, where every position stands in a row of threads an inch', () => {
    const r = read([row('1', 'A', tpi(8)), row('2', 'A', tpi(9)), row('1', 'B', tpi(16))]);
    expect(r.open).toEqual([]);
    expect(r.levers).toEqual({ cone: { '1': '1', '2': '8/9' }, range: { A: '1', B: '1/2' } });
  });
  test('a position that stands only beside a rounded pitch is near, not exact, and the row that would settle it is named', () => {
    const r = read([row('1', 'A', tpi(8)), row('3', 'A', '2.55'), row('1', 'B', tpi(16))]);
    expect(r.open).toEqual([{ lever: 'cone', position: '3', why: 'rounded', settledBy: { cone: '3', range: 'A' } }]);
    expect(read([row('1', 'A', tpi(8)), row('3', 'A', '2.55'), row('3', 'A', tpi(10))]).open).toEqual([]);
  });
  test('127 teeth make a metric pitch exact', () => {
    const r = read([row('1', 'A', tpi(8)), row('3', 'A', '2', [100], [127])]);
    expect(r.open).toEqual([]);
    expect(r.levers['cone']).toEqual({ '1': '1', '3': '4/5' });
  });
  test('positions that no row ties to the first are not known, and are not taken', () => {
    const r = read([row('1', 'A', tpi(8)), row('2', 'B', tpi(18))]);
    expect(r.open.map((o) => [o.lever, o.position, o.why])).toEqual([
      ['cone', '2', 'untied'],
      ['range', 'B', 'untied'],
    ]);
    expect(tiedLevers(r)).toEqual({ cone: { '1': '1' }, range: { A: '1' } });
    // the row that is asked for settles the one, and with it the other
    const asked = r.open[0]?.settledBy ?? {};
    expect(asked).toEqual({ cone: '2', range: 'A' });
    expect(read([row('1', 'A', tpi(8)), row('2', 'B', tpi(18)), row('2', 'A', tpi(9))]).open).toEqual([]);
  });
});

test('an equation of squares is used: four rows of three levers, no two of which differ in one lever alone', () => {
  // a2 = 2/3, b2 = 1/2, c2 = 3/4 of the first positions; a2 squared = (2 1 2)(2 2 1) / (1 1 1)(1 2 2)
  const at = (a: string, b: string, c: string, ratio: string): ChartRow => ({
    levers: { a, b, c },
    drivers: [24],
    driven: [24],
    lead: SCREW.mul(exact(ratio)),
  });
  const rows = [at('1', '1', '1', '1'), at('1', '2', '2', '3/8'), at('2', '1', '2', '1/2'), at('2', '2', '1', '1/3')];
  const r = readChart(SCREW, exact('1'), rows, [{ levers: { a: '2', b: '1', c: '1' }, drivers: [24], driven: [24] }]);
  expect(r.conflicts).toEqual([]);
  expect(r.answers[0]?.equals(SCREW.mul(exact('2/3')))).toBe(true);
});
